# frozen_string_literal: true

require_relative "../support/core_helper"

# The changes and the geometry behind what is drawn by hand.
class DrawingDirectlyTest < Minitest::Test
  include CoreHelper

  C = Basalt::Change
  L = Basalt::Layout

  def boxes(random, count) =
    Array.new(count) { L::Box.new(x: random.rand(900), y: random.rand(700), w: 40 + random.rand(160), h: 30 + random.rand(60)) }

  def test_boxes_in_line_share_an_edge_and_keep_their_sizes
    random = Random.new(1)
    edges = { "left" => :x, "right" => :right, "top" => :y, "bottom" => :bottom }
    20.times do
      some = boxes(random, 2 + random.rand(6))
      edges.each do |how, edge|
        lined = L::Alignment.call(some, how)
        assert_equal 1, lined.map(&edge).uniq.length, how
        assert_equal(some.map { |box| [box.w, box.h] }, lined.map { |box| [box.w, box.h] })
      end
    end
  end

  def test_spread_boxes_have_even_gaps_and_the_outermost_stay
    random = Random.new(2)
    20.times do
      some = boxes(random, 3 + random.rand(5))
      spread = L::Alignment.call(some, "across")
      order = spread.each_index.sort_by { |index| [some[index].x, index] }
      gaps = order.each_cons(2).map { |one, other| spread[other].x - spread[one].right }
      assert_operator gaps.max - gaps.min, :<=, 1
      assert_equal some.map(&:x).min, spread.map(&:x).min
      assert_equal some.map(&:y), spread.map(&:y)
    end
    assert_raises(Basalt::Mistake) { L::Alignment.call(boxes(random, 2), "sideways") }
  end

  def test_a_dragged_end_keeps_every_run_level_or_upright_and_the_other_end_in_place
    random = Random.new(3)
    100.times do
      points = [[0, 0]]
      (1 + random.rand(5)).times do |n|
        points << (
          n.even? ? [points.last[0], points.last[1] + 20 + random.rand(80)] : [points.last[0] + 20 + random.rand(80), points.last[1]]
        )
      end
      dx, dy = Array.new(2) { random.rand(-50..50) }
      moved = L::Polyline.drag_start(points, dx, dy)
      assert_equal [[dx, dy], points.last], [moved.first, moved.last]
      moved.each_cons(2) { |one, other| assert one[0] == other[0] || one[1] == other[1], "#{points} by #{dx}, #{dy}: #{moved}" }
    end
  end

  # Among random boxes, a way that is found keeps clear of all of them.
  def test_ways_through_a_maze_pass_through_no_box
    random = Random.new(4)
    found =
      25.times.count do
        some = boxes(random, 25)
        index = L::Index.new
        some.each_with_index { |box, id| index.add(id, box) }
        ends = [L::Box.new(x: -200, y: random.rand(600), w: 80, h: 40), L::Box.new(x: 1200, y: random.rand(600), w: 80, h: 40)]
        way =
          L::OrthogonalRouter.new(index, L::Index.new, []).path(
            *ends.map { |box| L::BoxTerminal.new(box).attachment_points(nil) },
            reach: 600
          ) or next
        L::Polyline.boxes(way).each { |run| assert index.free?(run), "a run through a box" }
        way.each_cons(2) { |one, other| assert one[0] == other[0] || one[1] == other[1] }
      end
    assert_operator found, :>, 20
  end

  def sheet(set, name) = set.sheets.by(:name, name).first.id

  def test_duplicates_are_numbered_on_and_bring_the_lines_among_them
    set =
      model(
        "project P\nsheet S: logical network\nsubnet Plant 10.1.0.0/24\ncontroller plc-07\nplc-07 on Plant at .7\ncontroller plc-08",
        tidy: true
      )
    draft = C::Draft.new(set)
    copy =
      C::Duplicate.new(
        ids: [set.named("plc-07").first.id, set.named("Plant").first.id],
        from: sheet(set, "S"),
        to: sheet(set, "S"),
        dx: 30,
        dy: 30
      )
    draft.apply(copy)
    assert_equal %w[Plant-2 plc-09], copy.made.values.filter_map { |id| draft.element(id).name }.sort
    made = draft.named("plc-09").first
    assert_equal([copy.made[set.named("Plant").first.id]], draft.relations_of(made.id, "attachment").map { |line| line.target("subnet") })
    assert_equal 1, draft.relations_of(set.named("plc-07").first.id).length
    back =
      C::Draft.new(
        Basalt::Model::WorkingSet.new(project: "P").advance(
          C::Effect.new(
            deltas:
              Basalt::Model::RowTypes.tables.flat_map do |table|
                draft.table(table).each.map { |row| C::Delta.new(table:, id: row.id, after: row) }
              end
          )
        )
      )
    back.apply(draft.effect.inverse)
    assert_equal facts(set), facts(back)
  end

  def test_the_same_things_are_shown_on_another_sheet_where_it_draws_them
    set = model("project P\nsheet S: logical network\nserver a\nserver b\nsheet T: logical network\nsheet E: entities", tidy: true)
    ids = %w[a b].map { |name| set.named(name).first.id }
    draft = C::Draft.new(set)
    draft.apply(C::ShowAs.new(ids:, from: sheet(set, "S"), to: sheet(set, "T"), dx: 0, dy: 0))
    assert_equal ids, draft.things_on(sheet(set, "T")).map(&:id)
    error =
      assert_raises(Basalt::Mistake) do
        C::Draft.new(set).apply(C::ShowAs.new(ids:, from: sheet(set, "S"), to: sheet(set, "E"), dx: 0, dy: 0))
      end
    assert_equal "an entities sheet draws none of these", error.message
  end

  def test_only_what_may_join_is_joined
    set = model("project P\nsheet S: logical network\nsubnet Plant 10.1.0.0/24\nsubnet Office 10.2.0.0/24\nserver a\nserver b")
    id = ->(name) { set.named(name).first.id }
    kinds = %w[attachment link]
    assert_equal(
      [%w[attachment], %w[link], []],
      [%w[Plant a], %w[a b], %w[Plant Office]].map { |one, other| C::Join.possible(set, id.call(one), id.call(other), kinds) }
    )
    draft = C::Draft.new(set).apply(C::Join.new(one_id: id.call("Plant"), other_id: id.call("a"), kind: "attachment"))
    line = draft.relations_of(id.call("a")).first
    assert_equal [id.call("a"), id.call("Plant")], [line.target("thing"), line.target("subnet")]
    draft.apply(C::Rejoin.new(id: line.id, role: "subnet", target_id: id.call("Office")))
    assert_equal id.call("Office"), draft.element(line.id).target("subnet")
    assert_raises(Basalt::Mistake) { C::Rejoin.new(id: line.id, role: "subnet", target_id: id.call("b")).apply(draft) }
  end

  def test_cells_that_can_be_taken_are_and_the_others_say_why
    set = model("project P\nsheet S: logical network\nsite Here\nserver a\nserver b")
    draft = C::Draft.new(set)
    a, b = %w[a b].map { |name| set.named(name).first.id }
    cells = [
      [a, "role", "router"],
      [a, "container", "Here"],
      [b, "role", "wombat"],
      [b, "container", "Nowhere"],
      [b, "computed addresses", "1"],
      %w[new-1 name c],
      %w[new-1 role switch],
      %w[new-2 note waiting]
    ]
    entry = Basalt::Register::Entry.new(set.sheet_list.first, "device", cells)
    assert_equal 4, entry.into(draft)
    assert_equal(
      [%w[role wombat], %w[container Nowhere], ["computed addresses", "1"], %w[note waiting]],
      entry.refused.map { |cell| [cell.key, cell.text] }
    )
    assert_equal %w[switch router Here],
                 [draft.element(entry.made["new-1"])["role"], draft.element(a)["role"], draft.element(draft.element(a).container_id).name]
    assert_match(/waits for name/, entry.refused.last.reason)
  end
end
