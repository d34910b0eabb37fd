# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/stub_any"

# Elements that stand on a sheet more than once, and lines that end at parts of things.
class OccurrencesTest < Minitest::Test
  include CoreHelper

  # Processes between outsiders and stores, as generated data-flow sheets have them.
  def flows(seed)
    random = Random.new(seed)
    processes = Array.new(4) { |n| "Sort sample #{n}" }
    others = ["outsider Caller", "outsider Council", "store Job book", "store Readings"]
    lines =
      Array.new(9) do |n|
        [processes.sample(random:), others.sample(random:).split(" ", 2).last].shuffle(random:)
          .then { |from, to| "#{from} gives note #{n} to #{to}" }
      end
    model(["project P", "sheet S: data flow", *processes.map { |name| "process #{name}" }, *others, *lines].join("\n"), tidy: true)
  end

  def sheet(set) = set.sheet_list.first.id

  def step(set, *changes, follow: true)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    draft.apply(*changes)
    Drawing::Arranger.new(draft, sheet(set)).follow if follow
    draft
  end

  # Every line ends where the occurrence stands that it is at, or that of the thing that is left.
  def check(set, title)
    drawn = Drawing::AsDrawn.of(set, sheet(set))
    anchors = Drawing::Anchors.new(drawn, sheet(set))
    notation = set.sheets[sheet(set)].notation
    notation
      .lines_on(drawn, sheet(set))
      .each do |line|
        points = set.placement(sheet(set), line.id).route["points"].values_at(0, -1)
        anchors
          .of(line)
          .zip(points) do |key, point|
            box = drawn.placement(sheet(set), key).box
            assert box.grow(1).overlap?(Layout::Box.at(*point, 1, 1)), "#{title}: #{line.name} ends at #{drawn.element(key).name}"
            assert_equal set.placement(sheet(set), key).element_id, set.element(line.id).endpoints[anchors.of(line).index(key)]
          end
      end
  end

  def test_lines_end_at_the_occurrence_they_were_put_at_whatever_is_done
    10.times do |seed|
      random = Random.new(seed)
      set = flows(seed)
      index = Drawing::SpatialIndex.new(set, sheet(set))
      contents = Drawing::SheetStatistics.new(set, sheet(set))
      18.times do |number|
        draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
        act(draft, sheet(set), random, number)
        Drawing::Arranger.new(draft, sheet(set), spatial_index: index).follow(grow: random.rand(3).zero?)
        affected = Drawing::Affected.by(draft)
        set.advance(draft.effect)
        index.renew(set, affected)
        contents.renew(set, affected)
        check(set, "#{seed}, #{number}")
        fresh = Drawing::SheetStatistics.new(set, sheet(set))
        assert_equal [fresh.extent, fresh.counts, fresh.size], [contents.extent, contents.counts, contents.size], "#{seed}, #{number}"
      end
      drawn_once(set)
      round_trip(set)
    end
  end

  def act(draft, sheet_id, random, number)
    things = draft.things_on(sheet_id).select { |thing| %w[party store].include?(thing.kind) }
    thing = things.sample(random:)
    keys = [thing.id, *draft.further(sheet_id, thing.id).map(&:key)]
    case random.rand(6)
    when 0, 1
      draft.apply(Change::ShowAgain.new(sheet_id:, element_id: thing.id))
    when 2
      attach(draft, sheet_id, thing, keys, random)
    when 3
      draft.apply(Change::TakeOffOnce.new(sheet_id:, key: keys.sample(random:))) if keys.length > 1
    when 4
      move(draft, sheet_id, keys.sample(random:), random)
    else
      Statements::Document.new("Sort sample #{random.rand(4)} gives slip #{number} to #{thing.name}").into(draft, sheet_id:)
    end
  end

  def attach(draft, sheet_id, thing, keys, random)
    line = draft.relations_of(thing.id).sample(random:) or return
    draft.apply(
      Change::Attach.new(
        sheet_id:,
        line_id: line.id,
        role: line.ends.find { |one| one.target_id == thing.id }.role,
        key: keys.sample(random:)
      )
    )
  end

  def move(draft, sheet_id, key, random)
    placed = draft.placement(sheet_id, key)
    if placed.x
      draft.apply(
        Change::Arrange.new(
          placement_id: placed.id,
          to: {
            x: placed.x + random.rand(-300..300),
            y: placed.y + random.rand(-300..300),
            by_hand: true
          }
        )
      )
    end
  end

  # Each occurrence is drawn, with the sign of what stands there twice, and the file has no line without its ends.
  def drawn_once(set)
    items = Drawing::Scene.new(set, sheet(set)).items
    things = set.placements_on(sheet(set)).reject { |placed| set.element(placed.element_id).relation? }
    assert_equal things.map(&:key).sort, items.select { |item| item.id.start_with?("t") && item.element_id }.map(&:element_id).sort
    keys = items.filter_map(&:element_id)
    items.filter_map { |item| item.data[:ends] }.each { |ends| assert_empty ends.split - keys }
  end

  def round_trip(set)
    again = Formats::ProjectDocument.read(Formats::ProjectDocument.write(set)).set
    assert_equal(set.placements.each.map(&:to_h).sort_by { |row| row[:id] }, again.placements.each.map(&:to_h).sort_by { |row| row[:id] })
  end

  def test_the_last_occurrence_goes_with_its_lines_and_the_first_hands_on
    set = flows(3)
    store = set.named("Readings").first
    draft = step(set, Change::ShowAgain.new(sheet_id: sheet(set), element_id: store.id, x: 3000, y: 50))
    set.advance(draft.effect)
    further = set.further(sheet(set), store.id).first
    set.advance(step(set, Change::TakeOffOnce.new(sheet_id: sheet(set), key: store.id)).effect)
    assert_equal further.id, set.placement(sheet(set), store.id).id
    refute set.placement(sheet(set), store.id).again?
    check(set, "handed on")
    set.advance(step(set, Change::TakeOffOnce.new(sheet_id: sheet(set), key: store.id)).effect)
    refute set.shown?(sheet(set), store.id)
    assert_empty(set.relations_of(store.id).select { |line| set.placement(sheet(set), line.id) })
  end

  def test_a_process_stands_once_and_it_is_said_why
    set = flows(1)
    error =
      assert_raises(Basalt::Mistake) do
        step(set, Change::ShowAgain.new(sheet_id: sheet(set), element_id: set.of_kind("process").first.id))
      end
    assert_equal "a process stands once on a sheet like this", error.message
  end

  def test_a_copy_of_the_sheet_has_its_own_occurrences
    set = flows(2)
    party = set.named("Caller").first
    set.advance(step(set, Change::ShowAgain.new(sheet_id: sheet(set), element_id: party.id)).effect)
    line = set.relations_of(party.id).first
    role = line.ends.find { |one| one.target_id == party.id }.role
    set.advance(
      step(
        set,
        Change::Attach.new(sheet_id: sheet(set), line_id: line.id, role:, key: set.further(sheet(set), party.id).first.key)
      ).effect
    )
    set.advance(step(set, Change::DuplicateSheet.new(of_id: sheet(set)), follow: false).effect)
    copy = set.sheet_list.last.id
    assert_equal set.further(copy, party.id).map(&:id), set.placement(copy, line.id).attached.values
    refute_equal set.further(sheet(set), party.id).map(&:id), set.placement(copy, line.id).attached.values
  end

  # Tables whose columns are joined: a notation as a family might bring it.
  class Joined < Basalt::Drawing::Notation
    include Basalt

    def name = "joined columns"
    def things = %w[table]
    def lines = %w[serves]
    def ends_at_parts? = true
    def size(set, table) = Data::Notation::ColumnRows.new(set, table).size
    def thing_shapes(set, table, placement) = Data::Notation::ColumnRows.new(set, table).shapes(placement.box)
    def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level).with(beside: false)
    def strip = 30
    def tidy(set, sheet_id, only: nil, **) = Drawing::LayeredLayout.new(self, set, *part(set, sheet_id, only)).placements

    def candidate_positions(set, sheet_id, thing, size, extent) =
      Drawing::Near.new(set, sheet_id, thing, size, extent, [110, 60]).candidate_positions

    def part_terminal(set, table, placement, column, _line) =
      Layout::RowTerminal.new(placement.box, placement.y + Data::Notation::ColumnRows.new(set, table).row(column.id))
  end

  def joined
    notations = { "joined columns" => Joined.new }
    Model::Catalogue
      .singleton_class
      .stub_any(:notation, ->(name) { notations.fetch(name) }) do
        Model::Catalogue
          .singleton_class
          .stub_any(:notations, -> { notations }) do
            draft = Change::Draft.new(Model::WorkingSet.new, ids: counter)
            Change::AddSheet.new(name: "S", notation: "joined columns", id: "sheet").apply(draft)
            6.times { |n| table(draft, "t#{n}") }
            6.times do |n|
              unless n == 1
                draft.apply(
                  Change::Add.new(kind: "serves", ends: [["thing", "t#{n}-c2"], ["other", "t#{((n * 5) + 1) % 6}-c0"]], id: "line#{n}")
                )
              end
            end
            Drawing::Arranger.new(draft, "sheet").tidy
            yield Model::WorkingSet.new.advance(draft.effect)
          end
      end
  end

  def table(draft, name)
    draft.apply(Change::Add.new(kind: "table", name:, id: name), Change::Show.new(sheet_id: "sheet", element_id: name))
    4.times { |row| draft.apply(Change::Add.new(kind: "column", name: "c#{row}", owner_id: name, id: "#{name}-c#{row}")) }
  end

  def at_rows(set, title)
    drawn = Drawing::AsDrawn.of(set, "sheet")
    drawn
      .relations_on("sheet")
      .each do |line|
        raw = set.element(line.id)
        points = set.placement("sheet", line.id).route["points"].values_at(0, -1)
        raw
          .endpoints
          .zip(points) do |column, (_, y)|
            box = set.placement("sheet", column[/\At\d/]).box
            assert_in_delta box.y + Data::Notation::ColumnRows.new(set, set.element(column[/\At\d/])).row(column),
                            y,
                            1,
                            "#{title}: #{line.id}"
          end
      end
    drawn.relations_on("sheet").length
  end

  def test_a_line_to_a_part_routes_follows_folds_and_is_taken_off_with_it
    joined do |set|
      assert_equal 5, at_rows(set, "tidied")
      placed = set.placement("sheet", "t0")
      set.advance(
        step(set, Change::Arrange.new(placement_id: placed.id, to: { x: placed.x + 40, y: placed.y + 700, by_hand: true })).effect
      )
      at_rows(set, "moved")
      set.advance(step(set, Change::Remove.new(id: "t0-c0")).effect)
      at_rows(set, "a row less above")
      folds(set)
      set.advance(step(set, Change::TakeOff.new(sheet_id: "sheet", element_id: "t0")).effect)
      refute(
        set
          .placements_on("sheet")
          .any? { |one| set.element(one.element_id).relation? && set.element(one.element_id).targets.any? { |id| id.start_with?("t0") } }
      )
      at_rows(set, "taken off")
    end
  end

  # Two lines between rows of the same two tables are one where parallel lines are folded.
  def folds(set)
    line = set.of_kind("serves").find { |one| one.targets.none? { |id| id.start_with?("t0") } }
    other = line.targets.map { |id| id.sub(/c\d/, "c3") }
    set.advance(
      step(
        set,
        Change::Add.new(kind: "serves", ends: [["thing", other[0]], ["other", other[1]]], id: "twin"),
        Change::SetView.new(sheet_id: "sheet", part: "parallels", on: true)
      ).effect
    )
    together = Drawing::Parallels.new(set, set.sheets["sheet"]).of(Drawing::AsDrawn.of(set, "sheet").element("twin"))
    assert_empty [line.id, "twin"] - together.map(&:id)
  end
end
