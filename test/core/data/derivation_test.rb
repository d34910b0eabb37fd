# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_entities"

# Tables derived from entities, by what must hold of any of them; that a server takes them is tested with the store.
class DerivationTest < Minitest::Test
  include CoreHelper

  L = Basalt::Data::Logical
  T = Basalt::Data::Tabling
  LONGEST = 63

  def drafted(text)
    draft = Change::Draft.new(Model::WorkingSet.new, ids: counter)
    Statements::Document.new(text).into(draft)
    draft
  end

  def derived(text) = L::Derivation.new(draft = drafted(text)).into(draft)
  def generated(seed) = derived(GeneratedEntities.new(seed).text)
  def columns(draft, table) = T.columns(draft, table.id)

  def each_generated
    24.times { |seed| yield generated(seed), "seed #{seed}" }
  end

  def test_every_table_has_a_key_a_reason_and_a_source
    each_generated do |draft, seed|
      draft
        .of_kind("table")
        .each do |table|
          assert(columns(draft, table).any? { |column| column["key"] }, "#{seed}: #{table.name} has no key")
          refute_empty table["why"].to_s, "#{seed}: #{table.name}"
          assert Data::Threads.source(draft, table), "#{seed}: #{table.name} comes from nothing"
        end
    end
  end

  def test_names_are_distinct_short_enough_and_in_the_case_of_the_house
    each_generated do |draft, seed|
      tables = draft.of_kind("table").map { |table| table.name.downcase }
      assert_equal tables.uniq, tables, seed
      draft
        .of_kind("table")
        .each do |table|
          names = columns(draft, table).map { |column| column.name.downcase }
          assert_equal names.uniq, names, "#{seed}: #{table.name}"
          [table.name, *names].each { |name| assert_operator name.bytesize, :<=, LONGEST, "#{seed}: #{name}" }
          names.each { |name| assert_match(/\A[\p{L}\p{N}_]+\z/, name, seed) }
        end
    end
  end

  def test_a_foreign_key_has_the_columns_of_the_key_it_refers_to
    each_generated do |draft, seed|
      draft
        .of_kind("reference")
        .each do |reference|
          from, to = %w[from to].map { |role| draft.element(reference.target(role)) }
          here, there = [reference.targets("column"), reference.targets("key")].map { |ids| ids.map { |id| draft.element(id) } }
          assert_equal columns(draft, to).select { |column| column["key"] }.map(&:id).sort,
                       there.map(&:id).sort,
                       "#{seed}: #{from.name} to #{to.name}"
          assert_equal there.map { |column| L::Types.usual(column["type"]) },
                       here.map { |column| L::Types.usual(column["type"]) },
                       "#{seed}: types of #{from.name}"
          assert(here.all? { |column| column.owner_id == from.id }, "#{seed}: columns of #{from.name}")
        end
    end
  end

  def test_columns_of_a_key_are_filled_and_come_first
    each_generated do |draft, seed|
      draft
        .of_kind("table")
        .each do |table|
          marks = columns(draft, table).map { |column| column["key"] ? 0 : 1 }
          assert_equal marks.sort, marks, "#{seed}: #{table.name}"
          assert(columns(draft, table).select { |column| column["key"] }.all? { |column| column["required"] }, "#{seed}: #{table.name}")
        end
    end
  end

  def test_deriving_again_changes_nothing_and_undoing_takes_all_of_it_away
    each_generated { |draft, seed| assert_empty L::Derivation.new(draft).steps.map(&:words), seed }
    6.times do |seed|
      base = model(GeneratedEntities.new(seed).text)
      draft = Change::Draft.new(base, ids: counter_from(5000))
      effect = L::Derivation.new(draft).into(draft).effect
      held = model(GeneratedEntities.new(seed).text).advance(effect)
      back = Change::Draft.new(held, ids: counter_from(9000))
      back.apply(effect.inverse)
      assert_equal facts(base), facts(held.advance(back.effect)), "seed #{seed}"
    end
  end

  def counter_from(number) = -> { (number += 1).to_s }

  def test_each_step_is_taken_by_itself_and_the_rest_waits
    6.times do |seed|
      draft = drafted(GeneratedEntities.new(seed).text)
      steps = L::Derivation.new(draft).steps.select { |step| step.act == :add }
      first = steps.find { |step| step.words.start_with?("table") } or next
      L::Derivation.new(draft).into(draft, keys: [first.key])
      assert_equal 1, draft.of_kind("table").length, "seed #{seed}"
      L::Derivation.new(draft).into(draft)
      assert_empty L::Derivation.new(draft).steps.map(&:words), "seed #{seed}"
    end
  end

  def test_what_was_refined_is_kept_whatever_becomes_of_its_source
    16.times do |seed|
      draft = generated(seed)
      random = Random.new(seed)
      column = draft.of_kind("column").reject { |one| one["key"] || draft.relations_of(one.id).any? }.sample(random:) or next
      draft.apply(Change::Set.new(id: column.id, fact: "type", value: "char(9)"))
      attribute = draft.of_kind("attribute").sample(random:)
      draft.apply(Change::Set.new(id: attribute.id, fact: "name", value: "another name"))
      L::Derivation.new(draft).into(draft)
      assert_equal "char(9)", draft.element(column.id)["type"], "seed #{seed}" if draft.element(column.id)
      assert_empty L::Derivation.new(draft).steps.reject { |step| step.act == :keep }.map(&:words), "seed #{seed}"
    end
  end

  def test_what_is_gone_is_dropped_and_nothing_refers_to_it
    12.times do |seed|
      draft = generated(seed)
      entity = draft.of_kind("entity").sample(random: Random.new(seed))
      draft.apply(Change::Remove.new(id: entity.id))
      L::Derivation.new(draft).into(draft)
      assert(draft.of_kind("table").all? { |table| Data::Threads.source(draft, table) }, "seed #{seed}")
      draft.of_kind("reference").each { |reference| assert(reference.targets.all? { |id| draft.element(id) }, "seed #{seed}") }
      assert_empty L::Derivation.new(draft).steps.reject { |step| step.act == :keep }.map(&:words), "seed #{seed}"
    end
  end

  HOUSES = {
    "tables singular, case upper, keys natural" => /\A[\p{Lu}\p{N}_\p{Lo}]+\z/,
    "case camel" => /\A[^_\p{Lu}][^_]*\z/,
    "case pascal" => /\A[^_\p{Ll}][^_]*\z/,
    'prefix "t_"' => /\A/
  }.freeze

  def test_a_type_that_was_guessed_is_told_until_somebody_or_the_house_says_another
    draft = derived("entity Job\nJob has number key, address (street, floor), price, note, days many")
    jobs = draft.named("jobs").first
    guesses = L::GuessedTypes.of(draft, jobs)
    assert_equal(%w[number address_street address_floor price note], guesses.map { |guess| guess.column.name })
    guesses.each { |guess| refute_includes guess.others, guess.column["type"] }
    draft.apply(Basalt::Change::Set.new(id: guesses.first.column.id, fact: "type", value: "integer"))
    house = Basalt::Change::Add.new(kind: "convention", name: "House").apply(draft)
    draft.apply(Basalt::Change::Set.new(id: house.id, fact: "types", value: "floor: smallint"))
    assert_equal(%w[address_street price note], L::GuessedTypes.of(draft, jobs).map { |guess| guess.column.name })
    assert_empty(L::Types::RULES.map(&:last) + [L::Types::OTHER] - L::GuessedTypes::OTHERS.keys)
  end

  def test_a_house_has_its_own_way_of_naming
    HOUSES.each do |house, shape|
      8.times do |seed|
        text = GeneratedEntities.new(seed).text.lines.reject { |line| line.start_with?("convention") }
        draft = derived(text.insert(2, "convention House, #{house}\n").join)
        assert_empty L::Derivation.new(draft).steps.map(&:words), "#{house}, #{seed}"
        draft.of_kind("table").map { |table| table.name.sub(/\d+\z/, "") }.each { |name| assert_match shape, name, "#{house}, #{seed}" }
      end
    end
  end

  def test_long_names_are_cut_where_the_server_would_and_stay_apart
    long = "customer reference number of the previous supplier in the neighbouring district before the year"
    draft = derived("sheet A: entities\nentity Meter\nMeter has \"#{long} one\", \"#{long} two\"")
    names = columns(draft, draft.of_kind("table").first).map(&:name)
    assert_equal names.uniq, names
    assert(names.all? { |name| name.bytesize <= LONGEST })
  end

  def test_the_script_is_read_back_as_the_same_tables
    16.times do |seed|
      draft = generated(seed)
      script = Data::Physical::Script.new(draft).text
      again = Change::Draft.new(Model::WorkingSet.new, ids: counter)
      Data::Physical::Schema.new(script).into(again)
      told = ->(set) do
        set
          .of_kind("table")
          .to_h do |table|
            [
              table.name,
              columns(set, table).map do |column|
                [column.name, L::Types.usual(column["type"]), column["key"] == true, column["required"] == true]
              end
            ]
          end
      end
      assert_equal told.call(draft), told.call(again), "seed #{seed}"
      assert_equal draft.of_kind("reference").length, again.of_kind("reference").length, "seed #{seed}"
    end
  end
end
