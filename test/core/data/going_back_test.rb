# frozen_string_literal: true

require_relative "../../support/core_helper"

# What turns out to be something else, and sentences that people confirm.
class GoingBackTest < Minitest::Test
  include CoreHelper

  D = Basalt::Data

  def draft(text) = Basalt::Change::Draft.new(model("sheet S: entities\n#{text}"), ids: -> { SecureRandom.uuid })

  def said(draft) =
    Basalt::Statements::Unparser.new(draft).project.lines.map(&:chomp).reject { |line| line.empty? || line.start_with?("sheet") }.sort

  def id(draft, name) = draft.named(name).first.id

  def assert_said(wanted, draft)
    assert_equal wanted.sort, said(draft)
  end

  def test_an_attribute_becomes_an_entity_and_back
    one = draft("entity Crew\nCrew has code key, depots (name key, town) many required")
    D::Promoting.new(id: id(one, "depots")).apply(one)
    assert_said(["entity Crew", "Crew has code key", "entity Depot", "Depot has name key, town", "a Crew has one or more Depot"], one)
    D::Demoting.new(id: id(one, "Depot")).apply(one)
    assert_said(["entity Crew", "Crew has code key, depot (name, town) required many"], one)
  end

  def test_what_is_joined_to_more_is_no_attribute
    one = draft("entity Crew\nentity Site\nentity Van\na Crew serves Site\na Van visits Site")
    assert_match(/more than one/, assert_raises(Basalt::Mistake) { D::Demoting.new(id: id(one, "Site")).apply(one) }.message)
    alone = draft("entity A")
    assert_match(/related to nothing/, assert_raises(Basalt::Mistake) { D::Demoting.new(id: id(alone, "A")).apply(alone) }.message)
  end

  def test_a_relationship_becomes_an_entity_with_its_attributes
    one =
      draft(
        "entity Crew\nentity Skill\na Crew holds zero or more Skill; a Skill \"is held by\" one or more Crew\nholds has certified on " \
        "required"
      )
    D::Objectifying.new(id: id(one, "holds")).apply(one)
    assert_said(
      [
        "entity Crew",
        "entity Skill",
        "entity Crew Skill",
        "Crew Skill has certified on required",
        "a Crew has zero or more Crew Skill; a Crew Skill is of exactly one Crew",
        "a Skill has one or more Crew Skill; a Crew Skill is of exactly one Skill"
      ],
      one
    )
  end

  def test_two_entities_are_merged_and_an_attribute_pulled_up
    one = draft("entity Crew\nCrew has code key\nentity Team\nTeam has code key, name\nentity Site\na Team serves exactly one Site")
    D::Merging.new(id: id(one, "Crew"), other_id: id(one, "Team")).apply(one)
    assert_said(["entity Crew", "Crew has code key, name", "entity Site", "a Crew serves exactly one Site"], one)
    two = draft("entity Asset\nPump is a kind of Asset\nValve is a kind of Asset\nPump has bought on\nValve has bought on, size")
    D::PullingUp.new(id: id(two, "bought on")).apply(two)
    assert_said(
      [
        "entity Asset",
        "Asset has bought on",
        "entity Pump",
        "entity Valve",
        "Valve has size",
        "Pump is a kind of Asset",
        "Valve is a kind of Asset"
      ],
      two
    )
  end

  def test_turning_changes_sides_and_twice_is_as_before
    text = "entity Crew\nentity Site\na Crew as guard serves exactly one Site; a Site \"is served by\" zero or more Crew"
    one = draft(text)
    before = said(one)
    D::Turning.new(id: id(one, "serves")).apply(one)
    assert_includes said(one), "a Site is served by zero or more Crew as guard; a Crew serves exactly one Site"
    D::Turning.new(id: id(one, "is served by")).apply(one)
    assert_equal before, said(one)
    two = draft("entity A\nentity B\nA serves B")
    assert_match(/say the verb/, assert_raises(Basalt::Mistake) { D::Turning.new(id: id(two, "serves")).apply(two) }.message)
  end

  def test_each_relationship_is_read_back_in_two_sentences
    {
      "a Work Order uses zero or more Part; a Part \"is used on\" exactly one Work Order" => [
        "Each Work Order uses any number of Parts.",
        "Each Part is used on exactly one Work Order."
      ],
      "a Work Order uses one or more Part" => [
        "Each Work Order uses one or more Parts.",
        "For each Part, some Work Orders (how many is open) use it."
      ],
      "a Work Order uses 2 to 7 Part; a Part \"is used on\" zero or one Work Order" => [
        "Each Work Order uses 2 to 7 Parts.",
        "Each Part is used on at most one Work Order."
      ],
      "a Part as whole contains many Part as piece" => [
        "Each Part (as whole) contains many Parts (as piece).",
        "For each Part (as piece), some Parts (as whole) (how many is open) contain it."
      ]
    }.each do |sentence, wanted|
      set = model("sheet S: entities\nentity Work Order\nentity Part\n#{sentence}")
      assert_equal wanted, D::ReadBack.of(set, set.of_kind("relationship").first).map(&:text)
    end
  end

  def test_what_is_confirmed_is_open_again_when_it_is_altered
    one = draft("entity Crew\nentity Site\na Crew serves exactly one Site; a Site \"is served by\" zero or more Crew")
    relationship = -> { one.of_kind("relationship").first }
    verdicts = -> { D::ReadBack.of(one, relationship.call).map(&:verdict) }
    one.apply(D::ReadBack.judge(one, relationship.call, 0, "confirmed"))
    one.apply(D::ReadBack.judge(one, relationship.call, 1, "disputed"))
    assert_equal %i[confirmed disputed], verdicts.call
    assert_equal [1, 2], D::ReadBack.tally(one, [relationship.call])
    assert_equal said(one), said(draft(said(one).join("\n")))
    Basalt::Change::SetEnd.new(id: relationship.call.id, role: "other", facts: { "cardinality" => "one or more" }).apply(one)
    assert_equal %i[open disputed], verdicts.call
    one.apply(D::ReadBack.judge(one, relationship.call, 1, "open"))
    assert_equal %i[open open], verdicts.call
  end
end
