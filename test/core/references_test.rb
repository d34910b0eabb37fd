# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_entities"

# Parts by their path, relations by the words that state them: in statements, in the reading, in the register.
class ReferencesTest < Minitest::Test
  include CoreHelper

  NAMES = ["Crew", "Work Order", "Crew.code", "due", "is assumed", "to", "a", "Note on: x", "runs many", "9.5", "meets"].freeze

  def quote(name) = Statements::Quoting.quote(name)

  # Entities, attributes and relationships under names that look like paths and sentences, with remarks on everything.
  def remarked(seed)
    random = Random.new(seed)
    names = NAMES.sample(4, random:)
    lines = ["project P", "sheet S: entities", *names.map { |name| "entity #{quote(name)}" }]
    lines += names.map { |name| "#{quote(name)} has #{NAMES.sample(3, random:).map { |one| quote(one) }.join(", ")}" }
    lines +=
      names
        .each_cons(2)
        .map do |one, other|
          "a #{quote(one)} #{%w[runs uses].sample(random:)} many #{quote(other)}; a #{quote(other)} belongs to exactly one #{quote(one)}"
        end
    set = model([*lines, "sheet R: requirements", "requirement R1: must", "requirement R2: may"].join("\n"))
    remark(set, random)
  end

  def remark(set, random)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    set
      .of_kind("attribute", "relationship", "entity")
      .each do |element|
        Change::Set.new(id: element.id, fact: "note", value: "see #{NAMES.sample(random:)}: there").apply(draft) if random.rand(2).zero?
        Change::Set.new(id: element.id, fact: "assumed", value: true).apply(draft) if random.rand(3).zero?
        if random.rand(3).zero?
          Change::Add.new(
            kind: "meets",
            ends: [["thing", element.id], ["requirement", set.of_kind("requirement").sample(random:).id]]
          ).apply(draft)
        end
      end
    set.advance(draft.effect)
  end

  # The facts of a model, with notes on parts and relations.
  def notes(set) =
    set
      .elements
      .each
      .map { |e| [e.kind, e.name, e["note"], e.assumed, e.targets.map { |id| set.element(id).name || set.element(id).kind }.sort] }
      .sort_by(&:inspect)

  def test_remarks_on_parts_and_relations_are_told_and_read_back
    told = 0
    30.times do |seed|
      set = remarked(seed)
      text = reading(set)
      again = model(text)
      assert_equal notes(set), notes(again), "#{seed}\n#{text}"
      assert_equal facts(set), facts(again), seed
      told += text.scan(/^(?:note on|.* meets )/).length
    end
    assert_operator told, :>, 200
  end

  def test_paths_and_stated_relations_are_typed_as_they_come
    set =
      model(
        "project P\nsheet S: entities\nentity Crew\nentity Work Order\nCrew has code key, name\n\"Work Order\" has due date\n" \
        "a Crew runs many Work Order; a Work Order is run by exactly one Crew\nsheet R: requirements\nrequirement R1: must"
      )
    {
      "note on Crew.code: x" => "code",
      "note on Work Order.due date: x" => "due date",
      "\"Work Order\".due date is assumed" => "due date",
      "Crew.code meets R1" => "code",
      "note on Crew runs many Work Order: x" => nil,
      "a Crew runs many Work Order is assumed" => nil,
      "note on \"a Crew runs many Work Order; a Work Order is run by exactly one Crew\": x" => nil
    }.each do |line, name|
      draft = say(set, "S", line)
      altered = draft.elements.differences.map { |_, before, after| before || set.element(after.target("thing")) }
      assert_equal [name || "runs"], altered.map(&:name), line
    end
    error = assert_raises(Statements::Misread) { say(set, "S", "note on Crew.colour: x") }
    assert_match(/“Crew.colour” is not understood here; there could stand a known name or a path such as Owner.part/, error.message)
  end

  def test_what_is_removed_by_its_words_is_that_relation_alone
    set = model("project N\nsheet S: logical network\nrouter a\nserver b\nserver c\na to b, fibre 1G\na to c, copper 1G")
    draft = say(set, "S", "remove a to b")
    assert_equal([%w[a c]], draft.of_kind("link").map { |link| link.targets.map { |id| draft.element(id).name } })
  end

  # Ports and addresses may be left out where only one relation is meant; where several are, they are told.
  def test_a_relation_is_spoken_of_in_short_where_it_is_the_only_one
    set =
      model(
        "project N\nsheet S: logical network\nrouter a\nserver b\nserver c\nsubnet Net 10.0.0.0/24\na on Net at .1\n" \
        "a wan1 to b, fibre 1G\na eth1 to c eth0, copper 1G\na eth2 to c eth1, copper 1G"
      )
    noted = ->(line) {
      say(set, "S", line).elements.differences.map { |_, before, _|
        [before.kind, *before.targets.map { |id|
          set.element(id).name
        }]
      }
    }
    assert_equal [%w[link a b]], noted.call("note on a to b: x")
    assert_equal [%w[attachment a Net]], noted.call("note on a on Net: x")
    assert_equal [%w[attachment a Net]], noted.call("a on Net is assumed")
    error = assert_raises(Statements::Misread) { say(set, "S", "note on a to c: x") }
    assert_match(/there are 2 of them: say “a eth1 to c eth0” or “a eth2 to c eth1”/, error.message)
    assert_equal [%w[link a c]], noted.call("note on a eth2 to c: x")
  end

  def test_the_register_speaks_of_parts_by_their_path
    set =
      model(
        "project P\nsheet S: entities\nentity Crew\nentity Depot\nCrew has code key\nDepot has code key\nsheet R: " \
        "requirements\nrequirement R1: must"
      )
    sheet = set.sheet_list.last
    column = Register::Column.new(key: "end thing", title: "thing", type: :reference, kinds: Model::Kind::ANYTHING, role: "thing")
    cell = Register::Cell.new(set, sheet, column)
    assert_equal "Depot", set.element(cell.reference("Depot.code").owner_id).name
    assert_match(
      /there are 2 called “code”: say “Crew.code” or “Depot.code”/,
      assert_raises(Model::BadFact) { cell.reference("code") }.message
    )
    draft = say(set, "R", "Depot.code meets R1")
    assert_equal "Depot.code", Register::Cell.new(draft, sheet, column).text(draft.of_kind("meets").first)
  end
end
