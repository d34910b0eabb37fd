# frozen_string_literal: true

require_relative "../../support/core_helper"

# Each finding about data models: a true case, near misses that stay silent, and a repair that
# clears it and raises no other.
class DataFindingsTest < Minitest::Test
  include CoreHelper

  CREW = "entity Crew\nCrew has code key\n"
  SITE = "entity Site\nSite has code key\n"
  MANY = "a Crew visits zero or more Site; a Site \"is visited by\" zero or more Crew\n"
  ONE = "a Crew serves exactly one Site; a Site \"is served by\" zero or more Crew\n"
  VAN = "entity Van\nVan has plate key\n"
  TABLES = "table crews\ncrews has crew_id bigint key, code varchar(20) required\ntable sites\n"

  # Rule: what it says, a true case, near misses; all on an entities sheet.
  CONCEPTUAL = {
    "no-key" => [
      "Crew has no key",
      "entity Crew\nCrew has name",
      [
        "entity Crew\nCrew has code key",
        "#{CREW}entity Asset\nAsset has tag key\nAsset is either Pump or Crew",
        "entity Crew\nCrew has place (x key, y)"
      ]
    ],
    "weak-without-owner" => [
      "Shift is weak and has no owner",
      "weak entity Shift\nShift has starts at partial key",
      ["#{CREW}weak entity Shift of Crew\nShift has starts at partial key"]
    ],
    "owner-cycle" => [
      "B and A own each other",
      "weak entity A of B\nweak entity B of A\nA has n partial key\nB has m partial key",
      ["#{CREW}weak entity A of Crew\nweak entity B of A\nA has n partial key\nB has m partial key"]
    ],
    "verb-missing" => [
      "Nobody said how Crew and Site are related",
      "#{CREW}#{SITE}a Crew relates to exactly one Site; a Site \"is served by\" exactly one Crew",
      [CREW + SITE + ONE]
    ],
    "noun-as-verb" => [
      "“assignment” is not a verb",
      "#{CREW}#{SITE}a Crew assignment exactly one Site; a Site holds exactly one Crew",
      ["#{CREW}#{SITE}a Crew \"is assigned to\" exactly one Site; a Site holds exactly one Crew", CREW + SITE + ONE]
    ],
    "undecided-cardinality" => [
      "It is open how many Sites there are",
      "#{CREW}#{SITE}a Crew serves Site; a Site \"is served by\" exactly one Crew",
      [CREW + SITE + ONE]
    ],
    "attribute-looks-like-entity" => [
      "site of Crew is an entity too",
      "#{CREW}#{SITE}Crew has site\n#{ONE}",
      ["#{CREW}#{SITE}Crew has sight\n#{ONE}"]
    ],
    "repeating-attributes" => [
      "phone 1 and phone 2 of Crew are one attribute",
      "#{CREW}Crew has phone 1, phone 2",
      ["#{CREW}Crew has phone 1", "#{CREW}Crew has phones many, level 2"]
    ],
    "attribute-in-two-places" => [
      "postcode is said of Crew and of Site",
      "#{CREW}#{SITE}Crew has postcode\nSite has postcode\n#{ONE}",
      ["#{CREW}#{SITE}Crew has name\nSite has name\n#{ONE}", "#{CREW}#{SITE}Crew has postcode\nSite has town\n#{ONE}"]
    ],
    "isolated-entity" => [
      "Crew is related to nothing",
      "#{CREW}#{SITE}entity Part\nPart has code key\na Site uses exactly one Part; a Part \"is used by\" exactly one Site",
      [CREW, CREW + SITE + ONE]
    ],
    "attribute-on-wrong-side" => [
      "visited on of Crew depends on the Site",
      "#{CREW}#{SITE}Crew has visited on\n#{MANY}",
      ["#{CREW}#{SITE}Crew has founded on\n#{MANY}", "#{CREW}#{SITE}Crew has served since\n#{ONE}"]
    ],
    "fan-trap" => [
      "Which Crew goes with which Van cannot be told through Site",
      "#{CREW}#{SITE}#{VAN}#{ONE}a Van parks at exactly one Site; a Site houses zero or more Van",
      [
        "#{CREW}#{SITE}#{VAN}#{ONE}a Van parks at exactly one Site; a Site houses zero or one Van",
        "#{CREW}#{SITE}#{VAN}#{ONE}a Van parks at exactly one Site; a Site houses zero or more Van\na Crew drives exactly one Van; a Van " \
        "\"is driven by\" exactly one Crew"
      ]
    ],
    "chasm-trap" => [
      "Not every Van leads to a Site",
      "#{CREW}#{SITE}#{VAN}#{ONE}a Crew drives zero or more Van; a Van \"is driven by\" zero or one Crew",
      ["#{CREW}#{SITE}#{VAN}#{ONE}a Crew drives zero or more Van; a Van \"is driven by\" exactly one Crew"]
    ],
    "derived-without-rule" => [
      "How age of Crew is derived is not said",
      "#{CREW}Crew has age derived",
      ["#{CREW}Crew has born on, age derived from born on", "#{CREW}Crew has age derived by \"years since\""]
    ],
    "plural-entity-name" => [
      "Crews is named for more than one",
      "entity Crews\nCrews has code key",
      [CREW, "entity Address\nAddress has code key", "entity Gas\nGas has code key", "entity Work Status\nWork Status has code key"]
    ],
    "same-name" => [
      "“started on” and “Started-on” of Crew are written differently only",
      "#{CREW}Crew has started on, Started-on",
      ["#{CREW}Crew has started on, started at"]
    ]
  }.freeze

  # The same for tables.
  LOGICAL = {
    "foreign-key-type-differs" => [
      "sites.crew_id is integer, crews.crew_id is bigint",
      "#{TABLES}sites has site_id bigint key, crew_id integer references crews",
      ["#{TABLES}sites has site_id bigint key, crew_id int8 references crews"]
    ],
    "foreign-key-points-nowhere" => [
      "sites refers to crews, and no key of it",
      "#{TABLES}sites has site_id bigint key, code varchar(20)\nsites refers to crews by code at code",
      ["#{TABLES}crews is unique by code\nsites has site_id bigint key, code varchar(20)\nsites refers to crews by code at code"]
    ],
    "no-primary-key" => ["sites has no primary key", "table sites\nsites has name text", ["table sites\nsites has site_id bigint key"]],
    "reserved-word" => [
      "order is a reserved word",
      "table order\norder has order_id bigint key",
      ["table orders\norders has order_id bigint key"]
    ],
    "money-in-floating-point" => [
      "parts.price keeps money as real",
      "table parts\nparts has part_id bigint key, price real",
      ["table parts\nparts has part_id bigint key, price numeric(12,2), weight real"]
    ],
    "code-as-number" => [
      "sites.postcode is a number",
      "table sites\nsites has site_id bigint key, postcode integer",
      ["table sites\nsites has site_id bigint key, postcode varchar(9), quantity integer"]
    ],
    "duplicate-index" => [
      "The index of crews over crew_id is there already",
      "#{TABLES}sites has site_id bigint key\ncrews is indexed by crew_id",
      ["#{TABLES}sites has site_id bigint key\ncrews is indexed by code"]
    ],
    "cycle-of-required-keys" => [
      "sites and crews each need a row of the next",
      "#{TABLES}sites has site_id bigint key, crew_id bigint required references crews\ncrews has site_id bigint required references sites",
      ["#{TABLES}sites has site_id bigint key, crew_id bigint required references crews\ncrews has site_id bigint references sites"]
    ],
    "name-breaks-rule" => [
      "crewName of crews is not named as the house names",
      "table crews\ncrews has crew_id bigint key, crewName text",
      [
        "table crews\ncrews has crew_id bigint key, crew_name text",
        "convention House, case camel\ntable crews\ncrews has crewId bigint key"
      ]
    ]
  }.freeze

  { "entities" => CONCEPTUAL, "tables" => LOGICAL }.each do |notation, cases|
    cases.each do |rule, (message, true_case, misses)|
      define_method(:"test_#{rule.tr("-", "_")}") do
        set = model("sheet S: #{notation}\n#{true_case}")
        found = findings(set).select { |finding| finding.id == rule }
        assert_includes found.map(&:message), message, ids_of(set).inspect
        misses.each { |text| refute_includes ids_of(model("sheet S: #{notation}\n#{text}")), rule, text }
        assert_mended(set, found) if found.first.repair
      end
    end
  end

  # Findings about what was derived: the tables follow the entities, and one thing is altered.
  DERIVED = {
    "unresolved-many-to-many" => [
      "Which Crews go with which Sites is in no table",
      ->(draft, test) { test.strike(draft, draft.named("crew_sites").first) }
    ],
    "entity-in-no-table" => ["No table keeps Site", ->(draft, test) { test.strike(draft, draft.named("sites").first) }],
    "column-in-no-entity" => [
      "crews.shoe_size is in no entity",
      ->(draft, test) do
        draft
          .apply(
            Basalt::Change::Add.new(
              kind: "column",
              name: "shoe_size",
              owner_id: draft.named("crews").first.id,
              facts: {
                "type" => "integer"
              }
            )
          )
          .then { test }
      end
    ],
    "nullable-disagrees" => [
      "crews.name may be empty, and Crew.name must not",
      ->(draft, test) { test.set(draft, "crews", "name", "required", nil) }
    ],
    "no-unique-for-natural-key" => [
      "code of crews may occur twice",
      ->(draft, test) { test.strike(draft, draft.of_kind("constraint").first) }
    ]
  }.freeze

  def strike(draft, element) = draft.apply(Basalt::Change::Remove.new(id: element.id))

  def set(draft, table, column, fact, value)
    draft.apply(Basalt::Change::Set.new(id: Basalt::Data::Tabling.column(draft, draft.named(table).first.id, column).id, fact:, value:))
  end

  DERIVED.each do |rule, (message, alter)|
    define_method(:"test_#{rule.tr("-", "_")}") do
      draft =
        Basalt::Change::Draft.new(
          model("sheet S: entities\n#{CREW}#{SITE}Crew has name required\n#{MANY}"),
          ids: -> { SecureRandom.uuid }
        )
      Basalt::Data::Logical::Derivation.new(draft).into(draft)
      refute_includes Basalt::Checks::Runner.new(draft).findings.map(&:id), rule
      alter.call(draft, self)
      found = Basalt::Checks::Runner.new(draft).findings.select { |finding| finding.id == rule }
      assert_includes found.map(&:message), message
      assert_mended(draft, found) if found.first.repair
    end
  end

  private

  # Each repair in turn, until the rule finds nothing; no other rule finds more than before.
  def assert_mended(set, found)
    before = Basalt::Checks::Runner.new(set).findings.map { |finding| [finding.id, finding.message] }
    draft = Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    while (finding = Basalt::Checks::Runner.new(draft).findings.find { |one| one.id == found.first.id && one.repair })
      draft.apply(finding.repair.changes)
      assert_operator (rounds = (rounds || 0) + 1), :<, 10
    end
    after = Basalt::Checks::Runner.new(draft).findings
    refute_includes after.map(&:id), found.first.id
    assert_empty after.reject { |one| before.include?([one.id, one.message]) || one.severity == :hint }.map(&:message), found.first.id
  end

  # The schema of a table is no part of how the house names tables.
  def test_names_are_looked_at_without_their_schema
    draft = Change::Draft.new(Model::WorkingSet.new)
    Data::Physical::Schema.new('CREATE SCHEMA "Sales Dept"; CREATE TABLE "Sales Dept"."OldOrders" (id int PRIMARY KEY); ' \
                               'CREATE TABLE "Sales Dept".orders (id int PRIMARY KEY);').into(draft)
    found = Checks::Runner.new(draft).findings.select { |one| one.id == "name-breaks-rule" }
    assert_equal(["Call it Sales Dept.old_orders"], found.map { |one| one.repair.label })
  end
end
