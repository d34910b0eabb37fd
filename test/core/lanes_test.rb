# frozen_string_literal: true

require_relative "../support/core_helper"

# A sheet whose notation rules where everything stands: the activity table.
class LanesTest < Minitest::Test
  include CoreHelper

  def table(seed, rows: 12)
    random = Random.new(seed)
    who = ["role Clerk", "role Duty engineer", "outsider Caller", "outsider Road authority", "system Job system"].first(random.rand(2..5))
    names = who.map { |one| one.split(" ", 2).last }
    acts =
      Array.new(rows) do |n|
        from, to = names.sample(2, random:)
        given = random.rand(3).zero? ? "" : ", giving note #{"long " * random.rand(3)}#{n} to #{to}"
        "#{from} does what has to be done #{"and more " * random.rand(3)}#{n}#{", processing" if random.rand(2).zero?}#{given}"
      end
    model(["project P", "sheet S: activities", *who, *acts].join("\n"), tidy: true)
  end

  def sheet(set) = set.sheet_list.first.id
  def drawn(set) = Drawing::AsDrawn.of(set, sheet(set))
  def geometry(set) = set.sheet_list.first.notation.geometry(set, sheet(set))

  def advance(set)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    yield draft
    Drawing::Arranger.new(draft, sheet(set)).follow
    set.advance(draft.effect)
  end

  # Lanes stand apart, rows beneath each other in the order of the table, arrows level between two lanes, words on no lane's box.
  def check(set, title)
    here = drawn(set)
    lanes = here.things_on(sheet(set)).map { |thing| here.placement(sheet(set), thing.id).box }.sort_by(&:x)
    lanes.each_cons(2) { |one, other| assert_operator one.right, :<, other.x, title }
    rows = Process::Acts.sorted(set.of_kind("activity"))
    heights = geometry(set).heights
    assert_equal rows.map(&:id), heights.sort_by(&:last).map(&:first), title
    rows.select { |row| Process::Acts.receiver(row) }.each { |row| arrow(set, here, row, title) }
  end

  def arrow(set, here, row, title)
    placed = here.placement(sheet(set), row.id)
    (left, y), (right, z) = placed.route["points"]
    assert_equal [y, geometry(set).heights[row.id].round], [z, y], title
    assert_in_delta here.placement(sheet(set), Process::Acts.receiver(row)).box.cx, right, 1, title
    label = set.sheet_list.first.notation.labels(here, row).first
    words = Layout::Box.at(*placed.route["labels"]["middle"], label.width - 8, 10)
    assert words.x >= [left, right].min && words.right <= [left, right].max, "#{title}: #{label.text} has room over its arrow"
  end

  def test_everything_stands_where_the_model_has_it_whatever_is_done
    12.times do |seed|
      set = table(seed)
      check(set, seed)
      contents = Drawing::SheetStatistics.new(set, sheet(set))
      10.times { |step| advanced(set, contents, Random.new((seed * 100) + step), "#{seed}, #{step}") }
    end
  end

  def advanced(set, contents, random, title)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    act(draft, random)
    Drawing::Arranger.new(draft, sheet(set)).follow
    assert_empty draft.placements.differences.select { |_, before, after| before && after }, "nothing is put anywhere"
    affected = Drawing::Affected.by(draft)
    set.advance(draft.effect)
    contents.renew(set, affected)
    check(set, title)
    assert_equal Drawing::SheetStatistics.new(set, sheet(set)).extent, contents.extent, title
  end

  def act(draft, random)
    row = draft.of_kind("activity").sample(random:)
    case random.rand(4)
    when 0
      draft.apply(
        geometry(draft).row_dropped(
          row.id,
          draft.of_kind("party", "system").sample(random:).id,
          draft.of_kind("activity").sample(random:).id
        )
      )
    when 1
      draft.apply(geometry(draft).dropped(draft.of_kind("party", "system").sample(random:).id, random.rand(-200..1500), 0))
    when 2
      draft.apply(Change::Set.new(id: row.id, fact: "gives", value: "a very much longer word than before")) if Process::Acts.receiver(row)
    else
      Statements::Document.new("Clerk looks again #{random.rand(1000)}, processing").into(draft, sheet_id: sheet(draft))
    end
  end

  # A row that is moved alters its own key and no other's, again and again in the same place, until no number is left.
  def test_a_row_is_moved_by_its_own_key
    set = table(4, rows: 30)
    altered =
      Array.new(60) do |n|
        ids = Process::Acts.sorted(set.of_kind("activity")).map(&:id)
        moved, place = n.even? ? [ids.last, 2] : [ids[4], 2]
        draft = Change::Draft.new(set).apply(Change::Reorder.new(ids:, id: moved, place:))
        wanted = (ids - [moved]).insert(1, moved)
        count = draft.effect.deltas.length
        set.advance(draft.effect)
        assert_equal wanted, Process::Acts.sorted(set.of_kind("activity")).map(&:id)
        count
      end
    assert_operator altered.count(1), :>=, 55, altered.tally.inspect
  end

  def test_keys_of_order_stand_in_it
    200.times do |seed|
      random = Random.new(seed)
      keys = Array.new(random.rand(0..6)) { random.rand(-20..20) }.uniq.sort
      place = random.rand(0..keys.length)
      found = Change::OrderKey.among(keys, place)
      all = found.one? ? keys.dup.insert(place, found.first) : found
      assert_equal all.uniq.sort, all
      assert_equal keys.length + 1, all.length
    end
  end

  # However many parts there are, and however often one goes to the front, ranks stay what their column holds.
  def test_ranks_stay_within_what_is_kept
    ranks = [(2**30) - 5, 2**30]
    50.times { ranks << Change::OrderKey.last(ranks) }
    assert_equal ranks.uniq.sort, ranks
    assert_operator ranks.max, :<, 2**31
    low = [-(2**30) + 10, 0]
    assert_equal 3, Change::OrderKey.among(low, 0, within: Change::OrderKey::RANKS).length
    many = Change::OrderKey.among((1..40_000).to_a, 5, within: Change::OrderKey::RANKS)
    assert_equal many.uniq.sort, many
    assert(many.all? { |rank| Change::OrderKey::RANKS.cover?(rank) })
  end

  def test_a_drop_into_its_own_place_means_nothing_and_ways_are_not_drawn_by_hand
    set = table(2)
    thing = drawn(set).things_on(sheet(set)).first
    box = drawn(set).placement(sheet(set), thing.id).box
    assert_empty geometry(set).dropped(thing.id, box.x + 8, 40)
    row = set.of_kind("activity").find { |one| Process::Acts.receiver(one) }
    error = assert_raises(Basalt::Mistake) { Drawing::Arranger.new(Change::Draft.new(set), sheet(set)).keep(row.id, [[0, 0], [10, 0]]) }
    assert_match "from row to row", error.message
    assert_match "stands where the activities of the sheet have it",
                 assert_raises(Basalt::Mistake) { geometry(set).sized(thing.id, 10, 10) }.message
    assert_raises(Basalt::Mistake) { Change::Draft.new(set).apply(Change::SetLayoutStyle.new(sheet_id: sheet(set), style: "tree")) }
  end
end
