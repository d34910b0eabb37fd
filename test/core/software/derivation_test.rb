# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_entities"

# Classes follow entities and tables, and entities classes, by threads.
class ClassDerivationTest < Minitest::Test
  include CoreHelper

  Derivation = Basalt::Software::Derivation

  def draft(set) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })

  def features(set, name)
    owner = set.named(name).find { |one| one.kind == "class" }
    set.parts_of(owner.id).map { |part| Basalt::Software::Classes::Facts.feature(part).to_s }
  end

  def ends(set) = set.of_kind("association").first.ends.map { |one| one.facts.values_at("multiplicity", "role") }

  TEXT = "sheet D: entities\nentity Crew\nCrew has code key, raised at required, phones many, note\nentity Work Order\n" \
         "Work Order has number key\na Crew carries out zero or more Work Order; " \
         "a Work Order is carried out by exactly one Crew\nVehicle is a kind of Crew".freeze

  def test_entities_become_classes_and_nothing_differs_then
    set = model(TEXT)
    one = draft(set)
    Derivation::ToClasses.new(set, set.of_kind("entity")).into(one)
    assert_equal ["code: String {id}", "raisedAt: Time", "phones: String [0..*]", "note: String [0..1]"], features(one, "Crew")
    assert_equal [["1", nil], ["0..*", "workOrders"]], ends(one)
    assert_equal 1, one.of_kind("generalisation").length
    assert_empty Derivation::ToClasses.new(one, one.of_kind("entity")).steps
    assert_empty Derivation::ToEntities.new(one, one.of_kind("class")).steps, "and the way back has nothing to do"
  end

  def test_what_the_source_altered_follows_and_what_a_person_altered_stays
    set = model(TEXT)
    one = draft(set)
    Derivation::ToClasses.new(set, set.of_kind("entity")).into(one)
    part = one.of_kind("property").find { |found| found.name == "raisedAt" }
    one.apply(Change::Set.new(id: part.id, fact: "type", value: "Date"))
    crew = one.of_kind("entity").find { |found| found.name == "Crew" }
    code = one.parts_of(crew.id).find { |found| found.name == "phones" }
    one.apply(Change::Set.new(id: code.id, fact: "many", value: nil), Change::Add.new(kind: "attribute", name: "colour", owner_id: crew.id))
    steps = Derivation::ToClasses.new(one, one.of_kind("entity")).steps.map(&:words)
    assert_equal ["Crew: phones: String [0..*] becomes phones: String [0..1]", "Crew: colour: String [0..1]"].sort, steps.sort
  end

  def test_derived_once_nothing_differs_whatever_the_entities
    25.times do |seed|
      set = model(GeneratedEntities.new(seed).text)
      one = draft(set)
      Derivation::ToClasses.new(set, set.of_kind("entity")).into(one)
      assert_empty Derivation::ToClasses.new(one, one.of_kind("entity")).steps.map(&:words), "seed #{seed}"
    end
  end

  def test_tables_become_classes_with_lines_for_their_foreign_keys
    set = model("sheet T: tables\ntable crews\ncrews has crew_id bigint key, code varchar(12) required, left_on date\ntable orders\n" \
                "orders has order_id bigint key, crew_id bigint required references crews")
    one = draft(set)
    Derivation::ToClasses.new(set, set.of_kind("table")).into(one)
    assert_equal ["crewId: Integer {id}", "code: String", "leftOn: Date [0..1]"], features(one, "Crew")
    assert_equal ["orderId: Integer {id}"], features(one, "Order")
    assert_equal [["0..*", nil], ["1", "crew"]], ends(one)
  end

  def test_classes_become_entities
    set = model("sheet C: classes\nclass WorkOrder\nWorkOrder has number: Integer {id}, raisedAt: Time, notes: String [0..*]\n" \
                "class Crew\nWorkOrder is linked to 1 Crew as crew, each to 0..*, called belongs to\ninterface I")
    one = draft(set)
    Derivation::ToEntities.new(set, set.of_kind("class")).into(one)
    assert_equal ["Crew", "Work Order"], one.of_kind("entity").map(&:name).sort
    assert_equal ["notes", "number", "raised at"], one.of_kind("attribute").map(&:name).sort
    related = one.of_kind("relationship").first
    assert_equal ["belongs to", "zero or more", "exactly one"], [related.name, *related.ends.map { |end_| end_.facts["cardinality"] }]
    assert_empty Derivation::ToEntities.new(one, one.of_kind("class")).steps
  end
end
