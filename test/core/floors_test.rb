# frozen_string_literal: true

require_relative "../support/core_helper"

# Floors: where things stand, how far cables run along trays, what a drop there says of the model, and the scale of what lies beneath.
class FloorsTest < Minitest::Test
  include CoreHelper

  Floors = Basalt::Network::Floors
  Point = Floors::Point
  SCALE = Basalt::Network::Notation::FloorGeometry::SCALE

  def at(x, y) = Point.new(x: x.to_f, y: y.to_f)

  # Trays on a grid of metres, and the way between two cells of it found by flooding the cells.
  def flooded(cells, from, to)
    found = { from => 0 }
    edge = [from]
    until edge.empty?
      edge = edge.flat_map do |x, y|
        near = [[x + 1, y], [x - 1, y], [x, y + 1], [x, y - 1]].select { |cell| cells.include?([[x, y], cell].sort) && !found.key?(cell) }
        near.uniq.each { |cell| found[cell] = found[[x, y]] + 1 }
      end.uniq
    end
    found[to]
  end

  # Runs of unit steps, of which trays are made.
  def walk(random)
    cell = [random.rand(0..6), random.rand(0..6)]
    Array.new(random.rand(1..6)) do
      dx, dy = [[1, 0], [-1, 0], [0, 1], [0, -1]].sample(random:)
      [cell, [cell[0] + dx, cell[1] + dy]].tap { |step| cell = step.last }
    end
  end

  def test_the_way_along_trays_is_the_shortest_that_flooding_finds
    known = 0
    120.times do |seed|
      random = Random.new(seed)
      runs = Array.new(random.rand(1..4)) { walk(random) }.reject(&:empty?)
      next if runs.empty?

      trays = Floors::Trays.new(runs.map { |run| [run.first.first, *run.map(&:last)].map { |x, y| at(x, y) } })
      steps = runs.flatten(1).to_set(&:sort)
      one, other = Array.new(2) { steps.to_a.flatten(1).sample(random:) }
      expected = flooded(steps, one, other)
      found = trays.between(at(*one), at(*other))
      expected ? assert_in_delta(expected, found, 0.001, "seed #{seed}") : assert_nil(found, "seed #{seed}")
      back = trays.between(at(*other), at(*one))
      found ? assert_in_delta(found, back, 0.001) : assert_nil(back)
      known += 1 if expected
    end
    assert_operator known, :>, 60
  end

  HALL = <<~TEXT
    project Tarnwater
    site Greyholm
    room Hall in Greyholm, measures 8/6
    rack R1 in Hall, 42U, stands at 1/1.5
    rack R2 in Hall, 42U, stands at 5/4, turned 90
    rack R3 in Hall, 42U
    switch core-01 in R1 at U40, 1U, ports 1-24 copper 1G
    switch acc-01 in R2 at U10, 1U, ports 1-24 copper 1G
    access point ap-01 in Hall, stands at 4/0.2
    tray T1 in Hall, along 0.5/1 7.5/1
    tray T2 in Hall, along 5.5/1 5.5/5.5
    core-01 1 to acc-01 1, copper 1G
    core-01 2 to ap-01, copper
    sheet Hall floor: floor plan, about Hall
  TEXT

  def plan(text = HALL)
    model(text).tap { |set| tidied(set) }
  end

  def tidied(set)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Drawing::Arranger.new(draft, set.sheet_list.first.id).tidy
    set.advance(draft.effect)
  end

  def sheet(set) = set.sheet_list.first.id
  def geometry(set) = Basalt::Drawing::Geometry.of(set, sheet(set))
  def id(set, name) = set.named(name).first.id
  def place(set, name) = geometry(set).places.fetch(id(set, name))

  def act(set, changes) = set.advance(Basalt::Change::Draft.new(set).apply(changes).effect)

  def test_things_stand_to_scale_and_a_drop_where_they_stand_alters_nothing
    set = plan
    assert_equal({ x: 60, y: 90, w: 36, h: 60 }, place(set, "R1"))
    assert_equal({ x: 300, y: 240, w: 60, h: 36 }, place(set, "R2"), "turned")
    assert_operator place(set, "R3")[:x], :>, 8 * SCALE, "it stands nowhere yet"
    (%w[R1 R2 ap-01 T1 T2 Hall]).each do |name|
      box = place(set, name)
      before = set.element(id(set, name))
      act(set, geometry(set).dropped(before.id, box[:x], box[:y]))
      assert_equal before, set.element(before.id), name
    end
  end

  def test_rooms_stand_on_their_floor_and_those_without_a_place_beside_it
    set = plan(<<~TEXT)
      project P
      floor Ground, measures 20/10
      room Hall in Ground, stands at 1/2, measures 4/3
      room Store in Ground, measures 3/3
      room Plant in Ground, measures 3/3
      rack R1 in Hall, stands at 1/1
      sheet Ground floor: floor plan, about Ground
    TEXT
    assert_equal [60, 120], place(set, "Hall").values_at(:x, :y)
    assert_equal [120, 180], place(set, "R1").values_at(:x, :y), "measured from the corner of its room"
    beside = %w[Store Plant].map { |name| place(set, name)[:x] }
    assert_equal [21 * SCALE, 25 * SCALE], beside
    act(set, geometry(set).dropped(id(set, "Store"), 300, 60))
    assert_equal "5/1", set.named("Store").first["position"]
    act(set, geometry(set).dropped(id(set, "R1"), 330, 90))
    assert_equal ["Store", "0.5/0.5"], [set.element(set.named("R1").first.container_id).name, set.named("R1").first["position"]]
  end

  def test_whatever_is_dropped_on_the_plan_stands_there_on_the_grid
    40.times do |seed|
      random = Random.new(seed)
      set = plan
      name = %w[R1 R2 R3 ap-01 T2].sample(random:)
      x, y = random.rand(0..300), random.rand(0..200)
      act(set, geometry(set).dropped(id(set, name), x, y))
      box = place(set, name)
      assert_in_delta x, box[:x], SCALE * 0.06, "#{name}, seed #{seed}"
      assert_in_delta y, box[:y], SCALE * 0.06, "#{name}, seed #{seed}"
    end
    set = plan
    act(set, geometry(set).dropped(id(set, "R1"), 2000, 2000))
    assert_nil set.named("R1").first["position"], "it was put beside the plan"
  end

  def test_what_is_given_a_size_on_the_plan_has_it_on_the_floor
    set = plan
    act(set, geometry(set).sized(id(set, "R2"), 72, 48))
    assert_equal "0.8/1.2", set.named("R2").first["extent"], "turned, its width lies across"
    act(set, geometry(set).sized(id(set, "T1"), (3 * SCALE) + 18, 18))
    assert_equal "0.5/1 3.5/1", set.named("T1").first["along"]
  end

  def test_lengths_are_counted_up_to_the_tray_along_it_and_down_again
    set = plan
    links = set.of_kind("link")
    lengths = Floors::CableLengths.new(set)
    # 1 m from the middle of R1 to the tray, 4.2 along it, 3.3 along the other, and from U40 and U10 up to it; a tenth more.
    up = [40, 10].sum { |unit| 2.4 - (0.1 + ((unit - 0.5) * 0.04445)) }
    assert_equal ((1.0 + 4.2 + 3.3 + up) * 1.1).ceil, lengths.of(links[0])
    assert_equal 2, lengths.proposals(id(set, "Hall")).length
    act(set, lengths.proposals(id(set, "Hall")))
    assert_empty Floors::CableLengths.new(set).proposals(id(set, "Hall")), "estimated again nothing is different"
    refute_includes ids_of(set), "too-long"
    act(set, [Basalt::Change::Set.new(id: set.of_kind("link").last.id, fact: "estimate", value: 140)])
    assert_includes ids_of(set), "too-long"
    reading = Basalt::Statements::Unparser.new(set).project
    assert_includes reading, "estimated 140m"
    assert_equal reading, Basalt::Statements::Unparser.new(model(reading)).project
  end

  def test_a_scale_puts_so_many_metres_between_two_points_and_leaves_the_first_where_it_was
    30.times do |seed|
      random = Random.new(seed)
      box = Basalt::Layout::Box.new(x: random.rand(100), y: random.rand(100), w: 320, h: 200)
      one, other = Array.new(2) { [box.x + random.rand(320), box.y + random.rand(200)] }
      next if one == other

      metres = random.rand(1..20)
      to = Floors::ImageScale.new(box, [one, other], metres).placement
      shares = ->(point) { [(point[0] - box.x) / 320.0, (point[1] - box.y) / 200.0] }
      now = [one, other].map { |point| shares.(point).then { |x, y| [to[:x] + (x * to[:w]), to[:y] + (y * to[:h])] } }
      assert_in_delta metres * SCALE, Math.hypot(now[0][0] - now[1][0], now[0][1] - now[1][1]), 3
      assert_in_delta one[0], now[0][0], 2
    rescue Basalt::Mistake
      assert_operator Math.hypot(one[0] - other[0], one[1] - other[1]), :<, 30
    end
    box = Basalt::Layout::Box.new(x: 0, y: 0, w: 320, h: 200)
    [[[5, 5], [5, 5], 3], [[5, 5], [9, 9], 0], [[5, 5], [9, 9], -2], [[5, 5], [6, 5], 5000]].each do |one, other, metres|
      assert_raises(Basalt::Mistake) { Floors::ImageScale.new(box, [one, other], metres) }
    end
  end

  def test_what_cannot_be_is_refused_in_words
    {
      "rack R1 in Hall, stands at here" => /metres such as 3.2/,
      "rack R1 in Hall, measures 0/1" => /larger than nothing/,
      "rack R1 in Hall, stands at 9000/1" => /2000 m at most/,
      "rack R1 in Hall, turned 45" => /degrees such as 90/,
      "tray T9 in Hall, along 1/1" => /two points or more/,
      "rack R8 in R1" => /rack/
    }.each do |line, words|
      assert_match words, assert_raises(Basalt::Mistake) { model("#{HALL.lines.first(7).join}#{line}") }.message, line
    end
  end
end
