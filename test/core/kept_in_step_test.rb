# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_levels"

# What is kept beside the model, or worked out in a quick way, is the same as worked out afresh and slowly.
class KeptInStepTest < Minitest::Test
  include CoreHelper

  # However things are moved, added and struck, the extent that is kept is that of a new count.
  def test_the_extent_of_a_sheet_follows_every_act
    12.times do |seed|
      random = Random.new(seed)
      set = model(GeneratedNetwork.new(seed, subnets: 2, things: 6).text, tidy: true)
      sheet = set.sheet_list.first.id
      contents = Drawing::SheetStatistics.new(set, sheet)
      25.times do |step|
        draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
        act(draft, sheet, random, step)
        Drawing::Arranger.new(draft, sheet).follow
        affected = Drawing::Affected.by(draft)
        set.advance(draft.effect)
        contents.renew(set, affected)
        fresh = Drawing::SheetStatistics.new(set, sheet)
        told = ->(one) { [one.extent, one.waiting, one.mingled?, one.counts, one.size] }
        assert_equal told.call(fresh), told.call(contents), "#{seed}, #{step}"
      end
    end
  end

  def act(draft, sheet, random, step)
    things = draft.things_on(sheet)
    case random.rand(5)
    when 2
      joined = %w[device subnet].map { |kind| things.select { |one| one.kind == kind }.sample(random:) }
      Statements::Document.new(joined.map(&:name).join(" on ")).into(draft, sheet_id: sheet) if joined.all?
    when 0
      Statements::Document.new("server fresh-#{step}").into(draft, sheet_id: sheet)
    when 1
      draft.apply(Change::Remove.new(id: things.sample(random:).id)) if things.length > 3
    else
      placed = draft.placement(sheet, things.sample(random:).id)
      draft.apply(
        Change::Arrange.new(
          placement_id: placed.id,
          to: {
            x: (placed.x + random.rand(-900..900)).round,
            y: (placed.y + random.rand(-900..900)).round
          }
        )
      )
    end
  end

  def test_a_ruler_finds_the_places_that_looking_through_finds
    60.times do |seed|
      random = Random.new(seed)
      values = Array.new(random.rand(1..60)) { random.rand(2).zero? ? random.rand(-500..900) : random.rand(-500.0..900.0).round(1) }
      ruler = Layout::Axis.new(values)
      sorted = values.uniq.sort
      assert_equal sorted, ruler.values
      (sorted + [-600, 1000, *Array.new(20) { random.rand(-600.0..1000.0) }]).each do |bound|
        assert_equal sorted.index { |value| value > bound } || sorted.length, ruler.above(bound), "#{seed}: above #{bound}"
        assert_equal sorted.index { |value| value >= bound } || sorted.length, ruler.from(bound), "#{seed}: from #{bound}"
      end
    end
  end

  # A step of the grid is walled exactly where the segment between its two points runs through a box.
  def test_a_grid_is_walled_where_boxes_stand
    20.times do |seed|
      random = Random.new(seed)
      boxes =
        Array.new(random.rand(1..6)) do
          Layout::Box.new(x: random.rand(0..300), y: random.rand(0..300), w: random.rand(10..90), h: random.rand(10..90))
        end
      grid =
        Layout::Grid.new(
          boxes.flat_map { |box| [box.x - 12, box.right + 12] } + [-50, 450],
          boxes.flat_map { |box| [box.y - 12, box.bottom + 12] } + [-50, 450]
        )
      boxes.each { |box| grid.block(box) }
      (0...grid.size).each do |node|
        here = grid.point(node)
        if (node + 1) % grid.width != 0
          assert_equal walled?(boxes, here, grid.point(node + 1)), walled_step?(grid, node, 0), "#{seed}: right of #{here}"
        end
        if node + grid.width < grid.size
          assert_equal walled?(boxes, here, grid.point(node + grid.width)), walled_step?(grid, node, 1), "#{seed}: down from #{here}"
        end
      end
    end
  end

  def walled_step?(grid, node, direction) = grid.price(node, direction) >= Layout::Grid::WALL
  def walled?(boxes, one, other) = boxes.any? { |box| box.grow(Layout::Grid::CLEAR).overlap?(Layout::Box.along(one, other)) }

  def test_lines_end_on_the_circle_and_its_cover_leaves_them_free
    [60, 92, 151].each do |side|
      box = Layout::Box.new(x: 10, y: 20, w: side, h: side)
      cover = Layout::CircleTerminal.cover(box)
      attachment_points = Layout::CircleTerminal.new(box).attachment_points([0, 0])
      assert_equal 20, attachment_points.uniq.length
      attachment_points.each do |(x, y), (dx, dy)|
        assert_in_delta side / 2.0, Math.hypot(x - box.cx, y - box.cy), 0.01
        way = Layout::Box.along([x, y], [x + (dx * 200), y + (dy * 200)])
        assert(cover.none? { |part| part.overlap?(way) }, "the way out at #{[x, y]} runs through the circle")
      end
      [[box.x + (side * 0.3), box.y], [box.right, box.y + (side * 0.7)]].each do |point|
        assert_in_delta side / 2.0, Math.hypot(*Layout::CircleTerminal.touch(box, point).zip([box.cx, box.cy]).map { |a, b| a - b }), 0.01
      end
    end
  end

  def test_parts_go_to_other_owners_and_what_cannot_be_is_refused
    set = model("sheet S: entities\nentity Crew\nCrew has code key, address (street, town)\nentity Job\nJob has code key")
    crew, job = %w[Crew Job].map { |name| set.named(name).first }
    address, street, code = %w[address street code].map { |name| set.named(name).first }
    own = ->(id, owner_id) { Change::Draft.new(set).apply(Change::Own.new(id:, owner_id:)) }
    assert_equal(%w[code street], own.call(street.id, job.id).parts_of(job.id).map(&:name))
    assert_equal set.parts_of(crew.id), own.call(code.id, crew.id).parts_of(crew.id)
    {
      [code.id, job.id] => /Job has code already/,
      [address.id, street.id] => /is a part of address itself/,
      [code.id, "gone"] => /no longer there/,
      [crew.id, job.id] => /cannot belong to/
    }.each { |(id, owner_id), message| assert_match message, assert_raises(Mistake) { own.call(id, owner_id) }.message }
  end

  # What would have to be said before a statement; nothing where that would not help.
  def test_groundwork_finds_names_up_to_their_verb
    set = model("sheet E: entities\nentity Meter\nsheet A: activities\nsheet C: context")
    entities, activities, context = set.sheet_list.map(&:id)
    {
      ["a Reader walks Round", entities] => ["entity Reader", "entity Round"],
      ["a Meter measures exactly one Supply Point", entities] => ["entity Supply Point"],
      ["Desk clerk checks the plan, processing", activities] => ["role Desk clerk"],
      ["Desk clerk works out the price, giving offer to Site owner", activities] => ["role Desk clerk", "role Site owner"],
      ['"a, b" walks it', activities] => ['role "a, b"'],
      ["nothing like a name", entities] => [],
      ["Meter measures", entities] => [],
      ["entity Meter\nx", entities] => [],
      ["Meter is Meter is", context] => []
    }.each do |(text, sheet), wanted|
      assert_equal wanted.empty? ? [] : [*wanted, text], Statements::MissingDeclarations.of(text, set, sheet), text
    end
  end

  # A level drawn, undone and drawn again is the same; what is struck takes its sheets' subject with it.
  def test_effects_on_levels_turn_back
    10.times do |seed|
      levels = GeneratedLevels.new(seed)
      set = Model::WorkingSet.new.advance(levels.draft.effect)
      before = facts(set)
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      moved = set.of_kind("process").drop(1).sample(random: levels.random)
      Basalt::Process::LevelSheet.level(draft, moved)
      draft.apply(
        Basalt::Process::MoveProcess.new(id: moved.id, container_id: set.of_kind("process").first.id),
        Change::Remove.new(id: moved.id)
      )
      assert_empty draft.sheet_list.filter_map(&:subject_id)
      effect = draft.effect
      set.advance(effect)
      back = Change::Draft.new(set).apply(effect.inverse)
      assert_equal before, facts(Model::WorkingSet.new.advance(back.effect).then { set.advance(back.effect) })
    end
  end
end
