# frozen_string_literal: true

require_relative "../support/core_helper"

# Sentences that are read back are English: the forms of verbs and nouns, where pronouns stand, and articles.
class ReadBackSentencesTest < Minitest::Test
  include CoreHelper

  DONE = {
    "caches" => "cache it", "ties up" => "tie it up", "focuses on" => "focus on it", "carries out" => "carry it out",
    "depends on" => "depend on it", "usually works for" => "usually work for it",
    "owns and maintains" => "own and maintain it", "runs out of" => "run out of it", "takes over" => "take it over",
    "hands in" => "hand it in", "fills in" => "fill it in", "consists of" => "consist of it", "belongs to" => "belong to it",
    "signs off" => "sign it off", "looks up to" => "look up to it", "sets up" => "set it up", "is part of" => "are part of it",
    "can carry out" => "can carry it out", "brings back" => "bring it back", "applies to" => "apply to it",
    "turns on" => "turn it on", "puts together" => "put it together", "works together with" => "work together with it",
    "reads, checks and approves" => "read, check and approve it", "has" => "have it", "is owned by" => "are owned by it",
    "is carried out by" => "are carried out by it", "reports to" => "report to it", "watches" => "watch it",
    "uses" => "use it", "processes" => "process it", "assesses" => "assess it", "biases" => "bias it", "vetoes" => "veto it",
    "supplies" => "supply it", "lies beside" => "lie beside it", "reaches" => "reach it", "quizzes" => "quiz it",
    "fixes" => "fix it", "houses" => "house it", "goes through" => "go through it", "does not hold" => "do not hold it",
    "writes down" => "write it down", "logs in to" => "log in to it", "causes" => "cause it",
    "never closes" => "never close it", "switches off" => "switch it off", "passes on" => "pass it on"
  }.freeze
  MANY = {
    "criterion" => "criteria", "roof" => "roofs", "attorney general" => "attorneys general",
    "mother-in-law" => "mothers-in-law", "unit of work" => "units of work", "chief of staff" => "chiefs of staff",
    "passer-by" => "passers-by", "point of sale" => "points of sale", "Bill of Materials" => "Bills of Materials",
    "Work Order" => "Work Orders", "SLA" => "SLAs", "medium" => "media", "analysis" => "analyses",
    "person in charge" => "people in charge", "notary public" => "notaries public", "general" => "generals",
    "quiz" => "quizzes", "half" => "halves", "部品" => "部品", "Größe" => "Größe", "series" => "series", "day" => "days",
    "party" => "parties", "status" => "statuses", "safe" => "safes"
  }.freeze
  WITH_AN = [
    "SLA", "MRI scan", "X-ray", "M3 bolt", "8-bit word", "11th floor", "18-month plan", "80 m", "hour", "SQL script", "FAQ",
    "NDA", "EU rule", "API", "LED", "RFID tag", "umbrella", "heir", "F-16", "R&D", "HTML page", "unimportant", "11-inch"
  ].freeze
  WITH_A = [
    "UPS", "LAN", "RAM", "URL", "European", "unit", "one-way", "1-year", "100 m", "SIM", "NASA", "user", "U-turn", "T-shirt",
    "NAS", "118", "180"
  ].freeze
  THEM = %w[Tutor Customer Employee Patient Reader Landlady Policeman Archaeologist Supervisor].freeze
  IT = %w[Order Server Committee Fee Address Meter Business Process Router Degree].freeze

  def test_verbs_of_many_and_what_they_are_done_to
    DONE.each { |phrase, wanted| assert_equal wanted, English::Verbs.done_to(English::Verbs.many(phrase), "it"), phrase }
  end

  def test_nouns_articles_and_people
    MANY.each { |one, many| assert_equal many, English.plural(one) }
    WITH_AN.each { |words| assert_equal "an", English.article(words), words }
    WITH_A.each { |words| assert_equal "a", English.article(words), words }
    THEM.each { |noun| assert_equal "them", English::People.pronoun(noun), noun }
    IT.each { |noun| assert_equal "it", English::People.pronoun(noun), noun }
  end

  def test_the_other_direction_of_a_relationship
    {
      "a Tutor \"usually works for\" exactly one School" => "For each School, any number of Tutors usually work for it.",
      "a Crew \"carries out\" exactly one Job" => "For each Job, any number of Crews carry it out.",
      "a Firm \"owns and maintains\" exactly one Customer" => "For each Customer, any number of Firms own and maintain them."
    }.each do |said, told|
      draft = Change::Draft.new(Model::WorkingSet.new)
      names = said.scan(/[A-Z]\w+/).map { |name| "entity #{name}\n" }.join
      Statements::Document.new("sheet S: entities\n#{names}#{said}").into(draft)
      relationship = draft.of_kind("relationship").first
      draft.apply(Change::SetEnd.new(id: relationship.id, role: "one", facts: { "cardinality" => "zero or more" }))
      assert_equal told, Data::ReadBack.back(draft, draft.element(relationship.id))
    end
  end

  def said(text) = model("project P\nsheet S: entities\n#{text}")
  def sentences(set) = set.of_kind("relationship").flat_map { |one| Basalt::Data::ReadBack.of(set, one).map(&:text) }
  def tables(set) = Basalt::Data::Logical::Mapping.new(set).tables

  def test_names_of_another_language_stand_as_they_are
    lines = ["entity Kunde", "entity Auftraggeber", "Kunde has Nummer key", "Auftraggeber has Namen many",
             "a Kunde vertritt zero or more Auftraggeber"]
    house = said(["convention House, language German", *lines].join("\n"))
    assert_equal ["Each Kunde vertritt any number of Auftraggeber.", "For each Auftraggeber, some Kunde (how many is open) vertritt it."],
                 sentences(house)
    assert_equal(%w[auftraggeber auftraggeber_namen kunde kunde_auftraggeber], tables(house).map(&:name).sort)
    assert_match(/The Auftraggeber has many Namen/, tables(house).flat_map(&:why).join(" "))
    refute_includes ids_of(house), "noun-as-verb"
    assert_includes ids_of(said(lines.join("\n"))), "noun-as-verb"
    assert_includes reading(house), "the Kunde vertritt zero or more Auftraggeber"
    assert_equal facts(house), facts(model(reading(house)))
    one = said("convention House, language German\nentity Kunde\nentity Café, language English\na Café serves zero or more Kunde")
    assert_equal ["Each Café serves any number of Kunde.", "For each Kunde, some Cafés (how many is open) serve it."], sentences(one)
  end
end
