# frozen_string_literal: true

require_relative "../support/core_helper"

# Boundaries around what they contain: tidied, followed, collapsed.
class BoundariesTest < Minitest::Test
  include CoreHelper

  D = Basalt::Drawing
  C = Basalt::Change

  # Places nested to a depth, with things, subnets and lines across.
  def text(seed)
    random = Random.new(seed)
    places =
      Array.new(6) do |n|
        n.zero? || random.rand < 0.3 ? "site p#{n}" : "#{%w[building room].sample(random:)} p#{n} in p#{random.rand(n)}"
      end
    things = Array.new(14) { |n| "#{%w[router server switch].sample(random:)} t#{n}#{" in p#{random.rand(6)}" if random.rand < 0.8}" }
    subnets = Array.new(2) { |n| "subnet net-#{n} 10.#{n}.0.0/24#{", in p#{random.rand(6)}" if random.rand < 0.6}" }
    lines =
      Array.new(16) { (a, b = (0...14).to_a.sample(2, random:)) && "t#{a} to t#{b}" } +
      Array.new(9) { |n| "t#{n} on net-#{n % 2} at .#{n + 1}" }
    ["project P", "sheet S: logical network", "internet", *places, *things, *subnets, *lines.uniq].join("\n")
  end

  def sheet(set) = set.sheet_list.first.id

  def check(set, title)
    nesting = D::Nesting.new(set, sheet(set))
    shown = set.things_on(sheet(set)).reject { |thing| nesting.hidden?(thing.id) }
    boxes = shown.to_h { |thing| [thing.id, set.placement(sheet(set), thing.id).box] }
    contained(nesting, boxes, title)
    apart(set, nesting, boxes, title)
    clear(set, nesting, boxes, title)
  end

  def contained(nesting, boxes, title)
    boxes.each do |id, box|
      outer = boxes[nesting.parent(id)] or next
      assert outer.x <= box.x && outer.y <= box.y && outer.right >= box.right && outer.bottom >= box.bottom,
             "#{title}: #{id} in its boundary"
    end
  end

  # Neither holds the other: they do not meet.
  def apart(set, nesting, boxes, title)
    boxes
      .keys
      .combination(2) do |one, other|
        next if nesting.ancestors(one).include?(other) || nesting.ancestors(other).include?(one)

        pair =
          [one, other].map do |id|
            if set.element(id).kind == "subnet"
              D::Notation && set.placement(sheet(set), id).then { |p| Basalt::Layout::Box.new(x: p.x, y: p.y - 20, w: 40, h: 18) }
            else
              boxes[id]
            end
          end
        refute pair[0].overlap?(pair[1]), "#{title}: #{set.element(one).name} and #{set.element(other).name}"
      end
  end

  def clear(set, nesting, boxes, title)
    set
      .relations_on(sheet(set))
      .each do |line|
        route = set.placement(sheet(set), line.id)&.route or next
        ends = line.targets.map { |id| nesting.stand_in(id) }
        own = ends + ends.flat_map { |id| nesting.ancestors(id) }
        slabs = boxes.select { |id, _| !nesting.boundary?(id) && set.element(id).kind != "subnet" && !own.include?(id) }
        Basalt::Layout::Polyline
          .boxes(route["points"])
          .each { |segment| slabs.each { |id, box| refute segment.overlap?(box), "#{title}: #{set.element(id).name} under a line" } }
      end
  end

  def test_tidied_boundaries_hold_what_is_theirs_and_nothing_else
    12.times { |seed| check(model(text(seed), tidy: true), "seed #{seed}") }
  end

  def test_the_same_input_gives_the_same_drawing
    drawn =
      Array.new(2) do
        set = model(text(5), tidy: true)
        D::SVG.layers(D::Scene.new(set, sheet(set)).items)
      end
    assert_equal(*drawn)
  end

  def collapsed(set, name, closed: true)
    draft = C::Draft.new(set, ids: -> { SecureRandom.uuid })
    draft.apply(C::Collapse.new(sheet_id: sheet(set), element_id: set.named(name).first.id, closed:))
    D::Arranger.new(draft, sheet(set)).follow
  end

  def test_a_collapsed_boundary_stands_for_what_it_contains_and_opens_again
    set =
      model("project P\nsheet S: logical network\nsite Here\nserver a in Here\nserver b in Here\nserver c\na to c\na to b", tidy: true)
    before = D::SVG.layers(D::Scene.new(set, sheet(set)).items)
    draft = collapsed(set, "Here")
    scene = D::Scene.new(draft, sheet(set))
    shown = D::SVG.layers(scene.items)
    assert_includes shown, "site, 2 inside"
    refute_match(/>a<|>b</, shown)
    line = set.relations_of(set.named("c").first.id).first
    box = draft.placement(sheet(set), set.named("Here").first.id).box
    point = draft.placement(sheet(set), line.id).route["points"].first
    assert box.grow(1).overlap?(Basalt::Layout::Box.at(*point, 1, 1)), "its line leads to its edge"
    held = set.advance(draft.effect)
    assert_includes Basalt::Statements::Unparser.new(held).sheet(sheet(held)), "Here is collapsed"
    open = collapsed(held, "Here", closed: false)
    again = D::SVG.layers(D::Scene.new(open, sheet(held)).items)
    assert_equal before.scan(/>([^<>]+)</).sort, again.scan(/>([^<>]+)</).sort
    assert_raises(Basalt::Mistake) { collapsed(held, "c") }
  end

  def test_a_boundary_grows_and_shrinks_with_what_it_contains
    set = model("project P\nsheet S: logical network\nsite Here\nserver a in Here\nserver b in Here", tidy: true)
    id = set.named("b").first.id
    placement = set.placement(sheet(set), id)
    draft = C::Draft.new(set)
    draft.apply(C::Arrange.new(placement_id: placement.id, to: { x: placement.x + 400, y: placement.y }))
    D::Arranger.new(draft, sheet(set)).follow
    boundary = ->(one) { one.placement(sheet(set), set.named("Here").first.id).box }
    assert_in_delta boundary.call(set).w + 400, boundary.call(draft).w, 1
    draft.apply(C::Set.new(id:, fact: "container", value: nil))
    D::Arranger.new(draft, sheet(set)).follow
    assert_operator boundary.call(draft).w, :<, boundary.call(set).w
  end

  def test_a_new_thing_finds_a_place_in_its_boundary_and_no_other
    set = model("project P\nsheet S: logical network\nsite Here\nserver a in Here\nsite There\nserver b in There", tidy: true)
    draft = say(set, "S", "server c in Here", "server d")
    D::Arranger.new(draft, sheet(set)).follow
    held = set.advance(draft.effect)
    check(held, "after")
  end
end
