# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/tidiness"

# Layouts in other shapes than levels: on generated graphs, each against what it promises.
class LayoutStylesTest < Minitest::Test
  include CoreHelper
  include Tidiness

  L = Basalt::Layout

  def graph(seed)
    random = Random.new(seed)
    sizes = Array.new(random.rand(1..60)) { |n| ["n#{n}", [random.rand(60..240), random.rand(30..160)]] }.to_h
    pairs = Array.new(random.rand(0..90)) { Array.new(2) { sizes.keys.sample(random:) } }
    [sizes, pairs]
  end

  def boxed(sizes, corners) = corners.to_h { |id, (x, y)| [id, L::Box.new(x:, y:, w: sizes[id][0], h: sizes[id][1])] }

  def each_graph
    40.times { |seed| yield(*graph(seed), "seed #{seed}") }
  end

  def assert_sound(sizes, corners, again, message)
    assert_equal sizes.keys.sort, corners.keys.sort, message
    assert_equal corners, again, "#{message}: not the same twice"
    boxed(sizes, corners).to_a.combination(2) { |(a, one), (b, other)| refute one.overlap?(other), "#{message}: #{a} on #{b}" }
  end

  { tree: L::Tree, round: L::Radial, rows: L::Rows }.each do |name, layout|
    define_method(:"test_#{name}_overlaps_nothing_and_is_the_same_twice") do
      each_graph { |sizes, pairs, message| assert_sound(sizes, layout.call(sizes, pairs), layout.call(sizes, pairs), message) }
    end
  end

  def test_lanes_keep_apart_and_lead_on
    each_graph do |sizes, pairs, message|
      lanes = sizes.keys.to_h { |id| [id, id[-1].to_i % 3] }
      corners = L::Lanes.call(sizes, pairs, lanes:)
      assert_sound(sizes, corners, L::Lanes.call(sizes, pairs, lanes:), message)
      spans = boxed(sizes, corners).group_by { |id, _| lanes[id] }.values.map { |members| L::Box.around(members.map(&:last)) }
      spans.combination(2) { |one, other| assert one.bottom <= other.y || other.bottom <= one.y, "#{message}: lanes run into each other" }
    end
    chain =
      L::Lanes.call(
        { "a" => [90, 40], "b" => [90, 40], "c" => [90, 40] },
        [%w[a b], %w[b c], %w[c a]],
        lanes: {
          "a" => 1,
          "b" => 2,
          "c" => 1
        }
      )
    assert_operator chain["a"][0], :<, chain["b"][0]
    assert_operator chain["b"][0], :<, chain["c"][0]
  end

  def test_a_tree_stands_above_what_hangs_on_it_and_branches_stay_apart
    each_graph do |sizes, pairs, message|
      boxes = boxed(sizes, L::Tree.call(sizes, pairs))
      spanning = L::Spanning.new(sizes.keys, pairs)
      sizes.each_key do |id|
        branches = spanning.children(id).map { |child| L::Box.around(boxes.values_at(*spanning.members(child))) }
        branches.each { |branch| assert_operator branch.y, :>=, boxes[id].bottom, message }
        branches.combination(2) { |one, other| assert one.right <= other.x || other.right <= one.x, "#{message}: branches of #{id}" }
      end
    end
  end

  def test_the_ring_around_the_middle_holds_its_neighbours
    sizes = (0..12).to_h { |n| ["n#{n}", [120, 46]] }
    pairs = (1..6).map { |n| ["n0", "n#{n}"] } + (7..12).map { |n| ["n#{n - 6}", "n#{n}"] }
    boxes = boxed(sizes, L::Radial.call(sizes, pairs))
    away = ->(id) { Math.hypot(boxes[id].cx - boxes["n0"].cx, (boxes[id].cy - boxes["n0"].cy) * L::Radial::SQUASH) }
    (1..6).each { |n| assert_operator away.call("n#{n}"), :<, away.call("n#{n + 6}") }
    (1..6).each { |n| assert_in_delta away.call("n1"), away.call("n#{n}"), 2 }
    assert_equal [120, 46], [boxes["n3"].w, boxes["n3"].h]
    chosen = boxed(sizes, L::Radial.call(sizes, pairs, root: "n4"))
    assert_equal "n4", chosen.min_by { |_, box| Math.hypot(box.cx - chosen["n4"].cx, box.cy - chosen["n4"].cy) }.first
  end

  Basalt::Drawing::LayoutStyle::ALL.each do |style, words|
    define_method(:"test_sheets_laid_out_#{words.tr(" ", "_")}_are_clear") do
      4.times do |seed|
        text = GeneratedNetwork.new(seed, subnets: 3, things: 4).text.sub("logical network", "logical network, laid out #{words}")
        set = model(text, tidy: true)
        assert_equal style, set.sheet_list.first.layout_style
        assert_includes reading(set), "laid out #{words}"
        assert_clear(set, "#{style} #{seed}")
      end
    end
  end

  def test_what_is_pinned_is_the_middle_and_stays
    set =
      model(
        "sheet A: logical network, laid out around one\n#{(1..5).map { |n|
          "server s#{n}"
        }.join("\n")}\ns1 to s2\ns1 to s3\ns1 to s4\ns4 to s5",
        tidy: true
      )
    sheet_id = set.sheet_list.first.id
    pinned = set.placement(sheet_id, set.named("s5").first.id)
    draft = Basalt::Change::Draft.new(set)
    draft.apply(Basalt::Change::Arrange.new(placement_id: pinned.id, to: { x: 2000, y: 900, pinned: true }))
    Basalt::Drawing::Arranger.new(draft, sheet_id).tidy
    assert_equal [2000, 900], draft.placements[pinned.id].to_h.values_at(:x, :y)
    assert_clear(draft, "pinned")
    around = set.things_on(sheet_id).to_h { |thing| [thing.name, draft.placement(sheet_id, thing.id).box] }
    distance = ->(name) { Math.hypot(around[name].cx - around["s5"].cx, around[name].cy - around["s5"].cy) }
    assert_operator distance.call("s4"), :<, distance.call("s2")
  end

  def test_a_layout_style_nobody_knows_is_refused
    set = model("sheet A: logical network")
    error =
      assert_raises(Basalt::Mistake) do
        Basalt::Change::Draft.new(set).apply(Basalt::Change::SetLayoutStyle.new(sheet_id: set.sheet_list.first.id, style: "spiral"))
      end
    assert_match(/as a tree, around one, in rows, in lanes/, error.message)
  end

  # @return [Array<String>] a script of tables, some of them with many columns, that refer to each other
  def script(count, random)
    columns = -> { Array.new(random.rand(2..25)) { |number| "c#{number} text" }.join(", ") }
    tables = Array.new(count) { |n| "CREATE TABLE t#{n} (id integer PRIMARY KEY, #{columns.call});" }
    joins = Array.new(count * 3 / 2) { |n| [random.rand(count), random.rand(count), n] }
    tables + joins.map { |from, to, n| "ALTER TABLE t#{from} ADD COLUMN r#{n} integer REFERENCES t#{to};" }
  end

  def test_many_tables_have_the_proportions_of_paper
    [90, 160].each do |count|
      draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
      sheet_id = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), "S", "tables")
      Basalt::Data::Physical::Schema.new(script(count, Random.new(count)).join("\n")).into(draft, sheet_id:)
      Basalt::Drawing::Arranger.new(draft, sheet_id).tidy
      around = L::Box.around(draft.placements_on(sheet_id).filter_map(&:box))
      assert_includes 0.5..1.5, around.h / around.w.to_f, "#{count} tables"
    end
  end
end
