# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_entities"

# The catalogue's fields, names, tables and overlays.
class ModelTest < Minitest::Test
  include CoreHelper

  M = Basalt::Model

  def field(type, **rest) = M::Field.new(name: "it", type:, **rest)

  def test_fields_read_what_people_write
    {
      field(:integer, range: 1..9) => {
        " 7 " => 7,
        "" => nil
      },
      field(:flag) => {
        "Yes" => true,
        "no" => nil,
        "x" => true,
        "0" => nil
      },
      field(:address) => {
        "10.0.0.1" => "10.0.0.1",
        "FD00:0:0::1" => "fd00::1"
      },
      field(:prefix) => {
        "10.0.0.0/24" => "10.0.0.0/24"
      },
      field(:word) => {
        "wan1" => "wan1"
      },
      field(:text) => {
        " a b " => "a b"
      },
      field(:choice, choices: %w[a b]) => {
        "a" => "a"
      }
    }.each { |one, cases| cases.each { |text, value| value.nil? ? assert_nil(one.read(text)) : assert_equal(value, one.read(text)) } }
  end

  def test_fields_refuse_with_a_reason
    {
      field(:integer, range: 1..9) => %w[x 10 1.5],
      field(:flag) => ["maybe"],
      field(:address) => %w[10.0.0 10.0.0.0/24 a],
      field(:prefix) => %w[10.0.0.0 10.0.0.1/24 10.0.0.0/40],
      field(:word) => ["two words"],
      field(:choice, choices: %w[a b]) => ["c"],
      field(:text) => ["bell\a", "x" * 2001]
    }.each do |one, texts|
      texts.each { |text| refute_empty assert_raises(M::BadFact, "#{one.type} #{text[0, 20]}") { one.read(text) }.message }
    end
  end

  def test_names_carry_on_their_numbers
    taken = %w[plc-08 plc-09 pump-2]
    assert_equal "plc-10", M::Names.following("plc-07") { |name| taken.include?(name) }
    assert_equal "pump-3", M::Names.following("pump") { |name| taken.include?(name) }
    assert_equal "rack-100", M::Names.following("rack-99") { false }
  end

  def test_the_nearest_name_is_near
    assert_equal "historian", M::Names.nearest("histroian", %w[historian scada-01])
    assert_nil M::Names.nearest("zebra", %w[historian scada-01])
    assert_equal 3, M::Names.distance("kitten", "sitting")
  end

  def test_an_overlay_answers_as_a_table_that_was_altered
    random = Random.new(9)
    20.times do
      set = model(GeneratedNetwork.new(random.rand(50), subnets: 2, things: 4).text)
      overlay = M::Overlay.new(set.elements)
      plain = M::Table.new(set.elements.indexes)
      set.elements.each { |row| plain.put(row) }
      ids = set.elements.each.map(&:id).sample(6, random:)
      ids.each_with_index do |id, n|
        [overlay, plain].each { |table| n.even? ? table.delete(id) : table.put(table[id].with(name: "n#{n}")) }
      end
      %i[kind name target].each do |index|
        plain.keys(index).each do |key|
          assert_equal plain.ids_by(index, key).sort, overlay.ids_by(index, key).sort
          assert_equal plain.count_by(index, key), overlay.count_by(index, key)
          assert_operator plain.count_by(index, key), :<=, overlay.at_most(index, key)
        end
      end
      assert_equal plain.each.map(&:id).sort, overlay.each.map(&:id).sort
      assert_equal plain.size, overlay.size
    end
  end

  # However much of the model a sheet shows: of what is in it alone, of a half, and of nearly nothing.
  def test_a_sheet_has_the_relations_whose_ends_stand_on_it
    random = Random.new(4)
    12.times do |seed|
      set = model(GeneratedNetwork.new(seed, subnets: 3, things: 9).text)
      sheet_id = set.sheet_list.first.id
      draft = Basalt::Change::Draft.new(set)
      gone = set.things_on(sheet_id).sample(random.rand(12), random:)
      gone.each { |thing| draft.delete(:placements, set.placement(sheet_id, thing.id).id) }
      [set, draft, set.pin].each do |one|
        shown = one.elements.each.select { |e| e.relation? && e.targets.any? { |id| one.shown?(sheet_id, id) } }
        expected = shown.select { |e| one.drawn_between?(sheet_id, e) }.sort_by(&:ordinal)
        assert_equal expected.map(&:id), one.relations_on(sheet_id).map(&:id), seed
        assert_equal expected.map(&:id), one.send(:relations_around, sheet_id).sort_by(&:ordinal).map(&:id), seed
      end
    end
  end

  # In a set, in a draft with some struck, renamed and joined anew, and in what is pinned: as looking at all of them would.
  def test_relations_of_two_and_whatever_is_called_so_are_found
    6.times do |seed|
      random = Random.new(seed)
      set = model(GeneratedEntities.new(seed).text)
      draft = Basalt::Change::Draft.new(set)
      names = draft.elements.each.filter_map(&:name)
      draft.elements.each.to_a.sample(9, random:).each_with_index do |one, n|
        n.even? || one.name.nil? ? draft.delete(:elements, one.id) : draft.put(:elements, one.with(name: names.sample(random:)))
      end
      [set, draft, set.pin].each { |one| assert_found(one, one.elements.each.to_a, random, seed) }
    end
  end

  def test_what_was_worked_out_of_a_version_is_there_for_whoever_pins_it_next
    set = model("sheet S: logical network\nserver a")
    worked = []
    names = ->(from) { from.derived(:names) { |now, was, altered| worked << [was, altered&.length] and now.elements.each.map(&:name) } }
    first = set.pin
    2.times { assert_equal %w[a], names.call(set.pin) }
    set.advance(say(set, "S", "server b").effect)
    assert_equal [["a"], %w[a b], %w[a b]], [names.call(first), names.call(set.pin).sort, names.call(set).sort]
    assert_equal [[nil, nil], [%w[a], 0], [%w[a], 0], [%w[a], 2]], worked
  end

  def test_sheets_are_numbered_in_their_band
    draft = Basalt::Change::Draft.new(model("project Tarnwater\nsheet A: logical network\nsheet B: entities"))
    draft.apply(Basalt::Change::AddSheet.new(name: "C", notation: "logical network"))
    assert_equal %w[TA-L-01 TA-C-01 TA-L-02], draft.sheet_list.map(&:number)
    assert_raises(Basalt::Mistake) { draft.apply(Basalt::Change::AddSheet.new(name: "C", notation: "entities")) }
    assert_raises(Basalt::Mistake) { draft.apply(Basalt::Change::AddSheet.new(name: "D", notation: "cave painting")) }
  end

  def test_what_is_removed_takes_along_what_cannot_be_without_it
    set = model("sheet S: logical network\nsite A\nroom R in A\nserver a in R\nsubnet N 10.0.0.0/24\na on N at .1")
    draft = say(set, "S", "remove R", "remove N")
    assert_nil draft.named("a").first.container_id
    assert_empty draft.of_kind("attachment")
    assert_empty(draft.placements_on(set.sheet_list.first.id).select { |p| draft.element(p.element_id).nil? })
  end

  def test_taken_off_is_not_removed
    set = model("sheet S: logical network\nserver a\nserver b\na to b", tidy: true)
    draft = say(set, "S", "take a off")
    assert_equal 1, draft.named("a").length
    refute draft.shown?(set.sheet_list.first.id, draft.named("a").first.id)
    assert_raises(Basalt::Statements::Misread) { say(model("server a"), nil, "take a off") }
  end

  def test_lists_and_counts_in_words
    assert_equal(["", "a", "a and b", "a, b and c"], [[], %w[a], %w[a b], %w[a b c]].map { |words| Basalt::English.list(words) })
    assert_equal(["1 thing", "0 things"], [1, 0].map { |n| Basalt::English.count(n, "thing") })
    assert_equal(%w[an a], %w[Asset Crew].map { |word| Basalt::English.article(word) })
  end

  private

  def assert_found(set, all, random, seed)
    all.filter_map(&:name).uniq.each do |name|
      kinds = all.map(&:kind).uniq.sample(random.rand(1..3), random:)
      expected = all.select { |one| one.name == name && kinds.include?(one.kind) }
      assert_equal expected.map(&:id).sort, set.named(name, *kinds).map(&:id).sort, seed
    end
    things = all.reject(&:relation?).map(&:id)
    60.times do
      one, other = Array.new(2) { things.sample(random:) }
      expected = all.select { |e| e.relation? && (one == other ? e.targets.count(one) > 1 : ([one, other] - e.targets).empty?) }
      assert_equal expected.map(&:id).sort, set.relations_between(one, other).map(&:id).sort, seed
    end
    all.select(&:owner_id).each do |part|
      found = set.part_named(part.owner_id, part.kind, part.name)
      assert_equal [part.owner_id, part.name], [found.owner_id, found.name]
    end
    assert_nil set.part_named(things.first, "attribute", "is not there")
    all.map(&:kind).uniq.each { |kind| assert_equal all.count { |one| one.kind == kind }, set.elements.count_by(:kind, kind), seed }
  end
end
