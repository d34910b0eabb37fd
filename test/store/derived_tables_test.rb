# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/generated_entities"

# Tables derived from entities, and the SQL of them, on a real server.
class DerivedTablesTest < Minitest::Test
  D = Basalt::Data

  def model(text)
    number = 0
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { (number += 1).to_s })
    Basalt::Statements::Document.new("project P\nsheet Model: entities\n#{text}").into(draft)
    draft
  end

  def derive(draft) = D::Logical::Derivation.new(draft).into(draft)
  def proved(draft) = Store::Proof.of(D::Physical::Script.new(draft).statements)

  def tables(draft)
    draft
      .of_kind("table")
      .to_h do |table|
        columns = D::Tabling.columns(draft, table.id)
        [table.name, columns.map { |column| "#{"#" if column["key"]}#{column.name}#{"!" if column["required"] && !column["key"]}" }.sort]
      end
  end

  def assert_tables(wanted, text)
    draft = derive(model(text))
    assert_equal(wanted.transform_values(&:sort), tables(draft))
    outcome = proved(draft)
    assert outcome.passed?, "#{outcome.message} #{outcome.line}"
    assert_empty D::Logical::Derivation.new(draft).steps
    draft
  end

  CREW = "entity Crew\nCrew has code key, name required\n"

  def test_an_entity_with_composite_many_valued_and_derived_attributes
    assert_tables(
      { "crews" => %w[#crew_id code! name! address_street address_town!], "crew_phones" => %w[#crew_id #phone] },
      "#{CREW}Crew has phones many, address (street, town required), headcount derived from phones"
    )
  end

  def test_a_weak_entity_is_keyed_by_its_owner
    assert_tables(
      { "crews" => %w[#crew_id code! name!], "shifts" => %w[#crew_id #starts_at ends_at] },
      "#{CREW}weak entity Shift of Crew\nShift has starts at partial key, ends at\na Crew works zero or more Shift; a Shift is worked by " \
      "exactly one Crew"
    )
  end

  def test_one_to_many_is_a_foreign_key_on_the_many_side_with_the_relationships_attributes
    draft =
      assert_tables(
        { "crews" => %w[#crew_id code! name!], "jobs" => %w[#job_id number! crew_id! started_on!] },
        "#{CREW}entity Job\nJob has number key\na Crew does zero or more Job; a Job is done by exactly one Crew\ndoes has started on " \
        "required"
      )
    assert_match(/Which Crew a Job is done by stands in crew_id/, draft.named("jobs").first["why"])
    assert_tables(
      { "crews" => %w[#crew_id code! name!], "jobs" => %w[#job_id number! crew_id started_on] },
      "#{CREW}entity Job\nJob has number key\na Crew does zero or more Job; a Job is done by zero or one Crew\ndoes has started on required"
    )
  end

  def test_one_to_one_is_on_the_side_that_must_have_the_other_and_unique
    draft =
      assert_tables(
        { "crews" => %w[#crew_id code! name!], "vans" => %w[#van_id plate! crew_id!] },
        "#{CREW}entity Van\nVan has plate key\na Crew drives zero or one Van; a Van is driven by exactly one Crew"
      )
    assert_equal(
      [["crew_id"], ["plate"]],
      draft
        .of_kind("constraint")
        .select { |one| one.target("table") == draft.named("vans").first.id }
        .map { |one| one.targets("column").map { |id| draft.element(id).name } }
        .sort
    )
    assert_match(/every Van has a Crew/, draft.named("vans").first["why"])
  end

  def test_one_to_one_where_both_must_have_the_other_says_or_holds_both
    text = "#{CREW}entity Van\nVan has plate key\na Crew drives exactly one Van; a Van is driven by exactly one Crew"
    draft = derive(model(text))
    whys = draft.of_kind("table").map { |table| table["why"].to_s }.join
    assert_match(/That a Crew has exactly one Van is not held by the database|That a Van has exactly one Crew is not held by the database/,
                 whys)
    held = derive(model("convention House, minimums by trigger\n#{text}"))
    assert_equal([1], held.of_kind("minimum").map { |one| one["least"] })
    assert proved(held).passed?
  end

  def test_a_second_relationship_between_the_same_two_is_named_by_its_verb
    assert_tables(
      { "crews" => %w[#crew_id code! name!], "jobs" => %w[#job_id number! crew_id! checks_crew_id] },
      "#{CREW}entity Job\nJob has number key\na Crew does zero or more Job; a Job is done by exactly one Crew\n" \
      "a Crew checks zero or more Job; a Job is checked by zero or one Crew"
    )
  end

  def test_many_to_many_is_a_joining_table_and_three_leave_out_whom_the_others_determine
    assert_tables(
      { "crews" => %w[#crew_id code! name!], "skills" => %w[#skill_id code!], "crew_skills" => %w[#crew_id #skill_id certified_on!] },
      "#{CREW}entity Skill\nSkill has code key\na Crew holds zero or more Skill; a Skill is held by zero or more Crew\nholds has " \
      "certified on required"
    )
    assert_tables(
      {
        "crews" => %w[#crew_id code! name!],
        "parts" => ["#part_id"],
        "sites" => ["#site_id"],
        "issues" => %w[crew_id! #part_id #site_id quantity]
      },
      "#{CREW}entity Part\nentity Site\na Crew, a Part and a Site meet in Issue\nin Issue the others meet exactly one Crew\nIssue has " \
      "quantity"
    )
  end

  def test_an_entity_related_to_itself_and_what_is_kept_over_time
    assert_tables(
      { "crews" => %w[#crew_id code! name! leads_crew_id] },
      "#{CREW}a Crew leads zero or more Crew; a Crew \"is led by\" zero or one Crew"
    )
    assert_tables(
      { "crews" => %w[#crew_id code! name!], "sites" => ["#site_id"], "crew_sites" => %w[#crew_id site_id! #valid_from valid_until] },
      "#{CREW}entity Site\na Crew \"is based at\" exactly one Site; a Site houses zero or more Crew, kept over time"
    )
  end

  def test_kinds_in_tables_of_their_own_or_together_with_one_column_or_with_flags
    assert_tables(
      { "assets" => %w[#asset_id tag!], "pumps" => %w[#pump_id power!], "valves" => ["#valve_id"] },
      "entity Asset\nAsset has tag key\nAsset is either Pump or Valve, complete\nPump has power required"
    )
    assert_tables(
      { "assets" => %w[#asset_id tag! asset_kind! power] },
      "entity Asset, kinds kept together\nAsset has tag key\nAsset is either Pump or Valve, complete\nPump has power required"
    )
    assert_tables(
      { "assets" => %w[#asset_id tag! is_pump! is_valve! power] },
      "entity Asset, kinds kept together\nAsset has tag key\nAsset is any of Pump or Valve\nPump has power required"
    )
  end

  # @return [Hash{String => Array<String>}] foreign keys and uniqueness of a table
  def joined(draft, name)
    table = draft.named(name).first
    referring = D::Tabling.references(draft, table.id).map { |one| [draft.element(one.target("to")).name, names(draft, one), one["deleting"]] }
    [referring.map(&:compact).sort, D::Tabling.constraints(draft, table.id).map { |one| names(draft, one) }.sort]
  end

  def names(draft, relation) = relation.targets("column").map { |id| draft.element(id).name }.join(" ")

  def test_a_kind_of_two_keeps_both_keys_and_one_where_both_have_the_same
    draft = assert_tables(
      { "pumps" => %w[#pump_id tag!], "sensors" => %w[#sensor_id serial!], "smart_pumps" => %w[#smart_pump_id sensor_id! address!] },
      "entity Pump\nPump has tag key\nentity Sensor\nSensor has serial key\nSmart Pump is a kind of Pump\n" \
      "Smart Pump is a kind of Sensor\nSmart Pump has address key"
    )
    assert_equal [[%w[pumps smart_pump_id], %w[sensors sensor_id]], %w[address sensor_id]], joined(draft, "smart_pumps")
    draft = assert_tables(
      { "people" => %w[#person_id ssn!], "employees" => %w[#employee_id], "students" => %w[#student_id],
        "assistants" => %w[#assistant_id wage] },
      "entity Person\nPerson has ssn key\nEmployee is a kind of Person\nStudent is a kind of Person\n" \
      "Assistant is a kind of Employee\nAssistant is a kind of Student\nAssistant has wage"
    )
    assert_equal [[%w[employees assistant_id], %w[students assistant_id]], []], joined(draft, "assistants")
    draft = assert_tables(
      { "assets" => %w[#asset_id tag! asset_kind!], "sensors" => %w[#sensor_id], "pumps" => %w[#pump_id sensor_id!] },
      "entity Asset, kinds kept together\nAsset has tag key\nAsset is either Pump or Valve, complete\nentity Sensor\n" \
      "Pump is a kind of Sensor"
    )
    assert_equal [[%w[assets pump_id], %w[sensors sensor_id]], %w[sensor_id]], joined(draft, "pumps")
  end

  def test_a_category_is_numbered_and_each_of_it_has_its_own_key_besides
    text = "entity Person\nPerson has ssn key\nentity Company\nCompany has register number key, town key\n" \
           "Owner is either Person or Company, complete\nentity Van\nVan has plate key\n" \
           "a Owner holds zero or more Van; a Van is held by exactly one Owner"
    wanted = { "owners" => %w[#owner_id], "people" => %w[#person_id ssn!], "companies" => %w[#company_id register_number! town!],
               "vans" => %w[#van_id owner_id! plate!] }
    draft = assert_tables(wanted, text)
    assert_equal [[%w[owners company_id]], ["register_number town"]], joined(draft, "companies")
    assert_equal [[%w[owners person_id]], ["ssn"]], joined(draft, "people")
    assert_match(/That an Owner is exactly one of Person and Company is not held/, draft.named("owners").first["why"])
    assert_tables(wanted.merge("vans" => %w[#plate owner_id!]), "convention House, keys natural\n#{text}")
  end

  def test_what_belongs_to_another_goes_with_it_as_the_house_has_it
    text = "#{CREW}Crew has phones many\nweak entity Shift of Crew\nShift has starts at partial key"
    wanted = { "crews" => %w[#crew_id code! name!], "shifts" => %w[#crew_id #starts_at], "crew_phones" => %w[#crew_id #phone] }
    draft = assert_tables(wanted, text)
    %w[shifts crew_phones].each { |name| assert_equal [%w[crews crew_id cascade]], joined(draft, name).first }
    kept = draft.of_kind("reference").find { |one| one.target("from") == draft.named("shifts").first.id }
    draft.apply(Basalt::Change::Set.new(id: kept.id, fact: "deleting", value: "restrict"))
    house = Basalt::Change::Add.new(kind: "convention", name: "House").apply(draft)
    draft.apply(Basalt::Change::Set.new(id: house.id, fact: "dependents", value: "hold their owner"))
    steps = D::Logical::Derivation.new(draft).steps
    assert(steps.any? { |one| one.act == :keep && one.words.include?("restrict was refined and stays") })
    D::Logical::Derivation.new(draft).into(draft)
    assert_equal([[%w[crews crew_id]], [%w[crews crew_id restrict]]], %w[crew_phones shifts].map { |name| joined(draft, name).first })
    assert proved(draft).passed?
  end

  def test_what_is_required_of_a_kind_is_held_by_a_check
    text = "Asset\nAsset has tag key\nAsset is %s Pump or Valve, complete\nPump has power required, maker required, note\n" \
           "entity Job\nJob has number key\na Job concerns exactly one Pump; a Pump is subject of zero or more Job"
    draft = derive(model("entity #{format(text, "either").sub("Asset\n", "Asset, kinds kept together\n")}"))
    checks = ["asset_kind IN ('Pump', 'Valve')", "asset_kind <> 'Pump' OR (power IS NOT NULL AND maker IS NOT NULL)"]
    assert_equal(checks, draft.of_kind("check").map { |one| one["expression"] })
    assert_match(/That it is a Pump, and no other Asset, is not held/, draft.named("jobs").first["why"])
    assert proved(draft).passed?
    draft = derive(model("entity #{format(text, "any of").sub("Asset\n", "Asset, kinds kept together\n")}"))
    checks = ["is_pump OR is_valve", "NOT is_pump OR (power IS NOT NULL AND maker IS NOT NULL)"]
    assert_equal(checks, draft.of_kind("check").map { |one| one["expression"] })
    assert proved(draft).passed?
    assert_empty D::Logical::Derivation.new(draft).steps
  end

  ASSETS =
    "entity Site\nSite has code key\nentity Crew\nCrew has code key\nentity Asset, kinds kept apart\nAsset has tag key, colours many\n" \
    "Asset is either Pump or Valve, complete\nPump has power required\n" \
    "an Asset \"stands at\" exactly one Site; a Site holds zero or more Asset\na Crew maintains zero or more Asset; an Asset \"is " \
    "maintained by\" zero or more Crew\n" \
    "entity Job\nJob has number key\na Job concerns exactly one Asset; an Asset \"is subject of\" zero or more Job\n".freeze

  def test_kinds_whose_tables_hold_all_of_it_leave_the_general_one_without_a_table
    draft =
      assert_tables(
        {
          "sites" => %w[#site_id code!],
          "crews" => %w[#crew_id code!],
          "pumps" => %w[#pump_id tag! power! site_id!],
          "valves" => %w[#valve_id tag! site_id!],
          "pump_colours" => %w[#pump_id #colour],
          "valve_colours" => %w[#valve_id #colour],
          "crew_pumps" => %w[#crew_id #pump_id],
          "crew_valves" => %w[#crew_id #valve_id],
          "jobs" => %w[#job_id number! pump_id valve_id]
        },
        ASSETS
      )
    assert_equal(["num_nonnulls(pump_id, valve_id) = 1"], draft.of_kind("check").map { |one| one["expression"] })
    assert_match(/It holds all of an Asset too/, draft.named("pumps").first["why"])
    assert_empty Basalt::Checks::Runner.new(draft).findings.map(&:rule) & %w[entity-in-no-table nullable-disagrees]
  end

  def test_a_general_entity_that_is_needed_keeps_its_table_and_says_why
    { ", complete" => /need not be any of them/, "\nweak entity Note of Asset" => /told apart by the Asset/ }.each do |text, reason|
      whole = text.start_with?(",") ? ASSETS.sub(text, "") : ASSETS + text.strip
      draft = derive(model(whole))
      assert_match reason, draft.named("assets").first["why"]
      assert proved(draft).passed?
    end
  end

  def test_a_minimum_is_held_by_triggers_where_the_house_says_so
    text =
      "convention House, minimums \"by trigger\"\n#{CREW}entity Job\nJob has number key\na Crew does one or more Job; a Job is done by " \
      "exactly one Crew\n" \
      "entity Skill\nSkill has code key\na Crew holds 2 to 7 Skill; a Skill is held by zero or more Crew"
    draft = derive(model(text))
    assert_empty D::Logical::Derivation.new(draft).steps
    assert_equal(
      [["crews", 1, "jobs"], ["crews", 2, "crew_skills"]],
      draft
        .of_kind("minimum")
        .map { |one| [draft.element(one.target("table")).name, one["least"], draft.element(one.target("of")).name] }
        .sort_by(&:last)
        .reverse
    )
    statements = D::Physical::Script.new(draft).statements
    assert_equal statements.map(&:text),
                 D::Physical::Script
                   .new(model(Basalt::Statements::Unparser.new(draft).project.lines.drop(1).join.sub(/sheet Model: entities\n/, "")))
                   .statements
                   .map(&:text)
    rows =
      lambda do |*inserts|
        Store::Proof.of(
          statements + ["BEGIN", *inserts, "COMMIT"].map { |text_of| D::Physical::Script::Statement.new(text: text_of, element_id: nil) }
        ).message
      end
    crew = "INSERT INTO crews (code, name) VALUES ('a', 'A')"
    job = "INSERT INTO jobs (number, crew_id) VALUES ('1', 1)"
    skills = ["INSERT INTO skills (code) VALUES ('x'), ('y')", "INSERT INTO crew_skills VALUES (1, 1), (1, 2)"]
    assert_nil rows.call(crew, job, *skills)
    assert_match(/each row of crews needs at least 1 of jobs/, rows.call(crew, *skills))
    assert_match(/each row of crews needs at least 2 of crew_skills/, rows.call(crew, job))
    assert_match(/at least 1 of jobs/, rows.call(crew, job, *skills, "COMMIT", "BEGIN", "DELETE FROM jobs"))
    assert_nil rows.call(crew, job, *skills, "COMMIT", "BEGIN", "DELETE FROM crew_skills", "DELETE FROM jobs", "DELETE FROM crews")
  end

  def test_a_fact_computed_across_entities_becomes_a_view_a_column_or_a_stored_value_with_the_reason
    count = "(SELECT count(*) FROM jobs WHERE jobs.crew_id = crews.crew_id)"
    jobs = "entity Job\nJob has number key\na Crew does zero or more Job; a Job is done by exactly one Crew\n"
    draft =
      derive(
        model(
          "#{CREW}#{jobs}Crew has load derived from Job by \"#{count}\", " \
          "label derived by \"upper(code)\" becoming \"generated column\", " \
          "\"peak load\" derived from Job by \"the most there were\" becoming \"stored value\", mood derived from Job by \"in words only\""
        )
      )
    assert_equal(%w[crew_id code name label peak_load], D::Tabling.columns(draft, draft.named("crews").first.id).map(&:name))
    assert_equal(["SELECT crews.*, (#{count}) AS load FROM crews"], draft.of_kind("view").map { |view| view["query"] })
    [
      /load looks at other tables/,
      /label is worked out by the server/,
      /peak load is stored: whoever writes/,
      /mood looks at other tables, and its rule is in words/
    ].each { |why| assert_match why, draft.named("crews").first["why"] }
    assert proved(draft).passed?
    assert_empty D::Logical::Derivation.new(draft).steps
    copy = model(Basalt::Statements::Unparser.new(draft).project.lines.drop(1).join.sub(/sheet Model: entities\n/, ""))
    assert_equal D::Physical::Script.new(draft).text, D::Physical::Script.new(copy).text
    draft.apply(
      Basalt::Change::Set.new(id: draft.of_kind("view").first.id, fact: "query", value: "SELECT 1 AS load"),
      Basalt::Change::Set.new(id: draft.named("load").first.id, fact: "rule", value: "(SELECT 7)")
    )
    assert_equal [:keep], D::Logical::Derivation.new(draft).steps.map(&:act)
  end

  def test_only_what_a_sheet_draws_is_derived_and_the_rest_is_left_as_it_stands
    draft =
      model(
        "#{CREW}sheet Other: entities\nentity Van\nVan has plate key\nentity Crew\na Crew drives zero or one Van; a Van is driven by " \
        "exactly one Crew"
      )
    first, other = draft.sheet_list.map(&:id)
    D::Logical::Derivation.new(draft, from: first).into(draft)
    assert_equal ["crews"], draft.of_kind("table").map(&:name)
    draft.apply(Basalt::Change::Set.new(id: draft.named("name").first.id, fact: "name", value: "title"))
    D::Logical::Derivation.new(draft, from: other).into(draft)
    assert_equal({ "crews" => %w[#crew_id code! title!], "vans" => %w[#van_id crew_id! plate!] }, tables(draft))
    draft.apply(Basalt::Change::Remove.new(id: draft.named("Van").find { |one| one.kind == "entity" }.id))
    assert_equal(["drop"], D::Logical::Derivation.new(draft, from: first).steps.map { |step| step.act.to_s })
  end

  def test_conventions_change_names_and_keys
    assert_tables(
      { "CREW" => %w[#CODE NAME!], "JOB" => %w[#NUMBER CREW_CODE!] },
      "convention House, tables singular, case upper, keys natural, foreign key pattern \"{entity} {key}\"\n" \
      "#{CREW}entity Job\nJob has number key\na Crew does zero or more Job; a Job is done by exactly one Crew"
    )
  end

  def test_the_house_has_types_of_its_own
    draft =
      derive(
        model(
          "convention House, types \"price: numeric(10,4); colour: char(6)\"\nentity Part\nPart has code key, list price, colour, weight"
        )
      )
    types = D::Tabling.columns(draft, draft.named("parts").first.id).to_h { |column| [column.name, column["type"]] }
    assert_equal(
      { "part_id" => "bigint", "code" => "varchar(20)", "list_price" => "numeric(10,4)", "colour" => "char(6)", "weight" => "numeric" },
      types
    )
    assert proved(draft).passed?
  end

  def test_names_that_need_quotes_keywords_and_other_scripts
    draft =
      derive(
        model(
          "entity \"Order \"\"x\"\"\"\nentity User\nUser has \"select\" key, \"größe\" required, \"a b\"\nentity 部品\na User owns many " \
          "部品; a 部品 \"is owned by\" exactly one User"
        )
      )
    outcome = proved(draft)
    assert outcome.passed?, outcome.message
  end

  40.times do |seed|
    define_method(:"test_generated_model_#{seed}_loads_and_keeps_what_was_refined") do
      text = GeneratedEntities.new(seed).text.lines.drop(2).join
      draft = derive(model(text))
      outcome = proved(draft)
      assert outcome.passed?, "#{outcome.message} #{outcome.line}\n#{text}"
      assert_empty D::Logical::Derivation.new(draft).steps.map(&:words), text
      refine_and_derive_again(draft, Random.new(seed), text)
    end
  end

  # A column is renamed and typed by hand, an entity altered: what was refined stands, what only
  # the source altered follows.
  def refine_and_derive_again(draft, random, text)
    column = draft.of_kind("column").reject { |one| one["key"] }.sample(random:) or return
    draft.apply(
      Basalt::Change::Set.new(id: column.id, fact: "type", value: "varchar(77)"),
      Basalt::Change::Set.new(id: column.id, fact: "name", value: "by hand")
    )
    entity = draft.of_kind("entity").sample(random:)
    draft.apply(
      Basalt::Change::Set.new(id: entity.id, fact: "name", value: "Renamed thing"),
      Basalt::Change::Add.new(kind: "attribute", name: "added on", owner_id: entity.id)
    )
    derive(draft)
    assert_equal ["by hand", "varchar(77)"], [draft.element(column.id).name, draft.element(column.id)["type"]], text
    assert_includes draft.of_kind("column").map(&:name), "added_on", text
    assert_empty D::Logical::Derivation.new(draft).steps.reject { |step| step.act == :keep }.map(&:words), text
  end

  SCHEMA = <<~SQL
    CREATE TABLE public.depots (depot_id bigserial PRIMARY KEY, name varchar(40) NOT NULL UNIQUE, opened date DEFAULT CURRENT_DATE, size numeric(8,2) CHECK (size > 0), tags text[]);
    CREATE TABLE "Crew Members" (id integer GENERATED ALWAYS AS IDENTITY, depot_id bigint, "full name" text NOT NULL, born timestamp with time zone, flag bool DEFAULT false NOT NULL,
      doubled double precision GENERATED ALWAYS AS (2 * 1.5) STORED, CONSTRAINT k PRIMARY KEY (id), UNIQUE (depot_id, "full name"));
    ALTER TABLE ONLY "Crew Members" ADD CONSTRAINT f FOREIGN KEY (depot_id) REFERENCES depots ON DELETE SET NULL;
    CREATE TABLE pairs (a int, b int, UNIQUE (a, b) DEFERRABLE INITIALLY DEFERRED, CONSTRAINT pairing UNIQUE (b, a), CONSTRAINT late UNIQUE (b) DEFERRABLE, c int DEFAULT 1 NOT NULL);
    ALTER TABLE pairs ADD COLUMN d bigint CONSTRAINT home REFERENCES depots ON DELETE SET DEFAULT ON UPDATE CASCADE DEFERRABLE INITIALLY DEFERRED;
    ALTER TABLE pairs ADD FOREIGN KEY (c, d) REFERENCES pairs (b, a) MATCH FULL ON UPDATE SET NULL;
    ALTER TABLE depots ADD CONSTRAINT n CHECK (name <> 'it''s');
    CREATE INDEX crew_depot ON "Crew Members" (depot_id, born);
    CREATE INDEX by_born ON "Crew Members" USING btree (born DESC NULLS LAST, "full name" COLLATE "C" text_pattern_ops) INCLUDE (flag);
    CREATE UNIQUE INDEX ON "Crew Members" (lower("full name")) WHERE NOT flag;
    CREATE INDEX depots_tags ON depots USING gin (tags);
    CREATE UNIQUE INDEX depots_size ON depots (size) NULLS NOT DISTINCT WITH (fillfactor = 70);
    CREATE UNIQUE INDEX ON pairs (c);
    CREATE TABLE callers (c int REFERENCES pairs (c), code text, CHECK (code <> 'x'));
    CREATE INDEX callers_codes ON callers (upper(code));
    ALTER TABLE callers RENAME code TO "call code";
    CREATE TABLE bookings (room int UNIQUE NULLS NOT DISTINCT, span int4range, note text, CONSTRAINT once EXCLUDE USING gist (span WITH &&) WHERE (room > 1) DEFERRABLE,
      CONSTRAINT covering UNIQUE (room, note) INCLUDE (span) WITH (fillfactor = 60), EXCLUDE (lower(note) WITH =));
    CREATE TABLE pair_keys (a int, b int, c int, PRIMARY KEY (c, a));
    CREATE TABLE pair_uses (x int, y int, FOREIGN KEY (x, y) REFERENCES pair_keys, FOREIGN KEY (y, x) REFERENCES pair_keys (c, a));
    ALTER TABLE pair_uses ADD CHECK (x > 0) NO INHERIT NOT VALID, ADD CONSTRAINT loosely FOREIGN KEY (y, y) REFERENCES pair_keys NOT VALID;
    CREATE TABLE spans (id serial, small smallserial, n int GENERATED BY DEFAULT AS IDENTITY, v interval day to second(2), u "char", c char, y interval year, t time(3) with time zone, b bit varying(5)[]);
    CREATE TABLE moved (id integer NOT NULL, n int NOT NULL, "Mixed" bigint NOT NULL);
    CREATE SEQUENCE "moved_Mixed_seq" START WITH 1 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1;
    ALTER SEQUENCE "moved_Mixed_seq" OWNED BY moved."Mixed";
    ALTER TABLE moved ALTER "Mixed" SET DEFAULT nextval('"moved_Mixed_seq"'::regclass);
    ALTER TABLE ONLY moved ALTER COLUMN n ADD GENERATED BY DEFAULT AS IDENTITY (SEQUENCE NAME moved_n_seq START WITH 1 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1);
    CREATE TABLE self_refs (id int PRIMARY KEY, parent_id int REFERENCES self_refs (id), code char(3), "select" json);
    COMMENT ON TABLE depots IS 'where crews start';
    CREATE VIEW open_depots AS SELECT d.depot_id, upper(d.name) AS title FROM depots d WHERE d.opened IS NOT NULL;
    COMMENT ON VIEW open_depots IS 'those in use';
    COMMENT ON COLUMN depots.name IS 'as on the gate';
  SQL

  # What the catalogue says of the tables of a schema.
  def catalogue(connection, schema)
    columns = connection.exec_params(<<~SQL, [schema]).values
      SELECT c.relname, a.attname, format_type(a.atttypid, a.atttypmod), a.attnotnull, a.attidentity, pg_get_expr(d.adbin, d.adrelid), a.attgenerated, col_description(c.oid, a.attnum), obj_description(c.oid, 'pg_class')
      FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 LEFT JOIN pg_attrdef d ON d.adrelid = c.oid AND d.adnum = a.attnum
      WHERE n.nspname = $1 AND c.relkind IN ('r', 'v') ORDER BY 1, 2
    SQL
    constraints = connection.exec_params(<<~SQL, [schema]).values
      SELECT t.relname, c.contype, c.conname, c.convalidated, pg_get_constraintdef(c.oid) FROM pg_constraint c JOIN pg_class t ON t.oid = c.conrelid JOIN pg_namespace n ON n.oid = t.relnamespace WHERE n.nspname = $1 ORDER BY 1, 2, 3
    SQL
    indexes =
      connection.exec_params(
        "SELECT tablename, indexname, indexdef FROM pg_indexes WHERE schemaname = $1 ORDER BY 1, 2",
        [schema]
      ).values
    views = connection.exec_params("SELECT viewname, definition FROM pg_views WHERE schemaname = $1 ORDER BY 1", [schema]).values
    [columns, constraints, indexes, views].map { |rows| rows.map { |row| row.map { |value| value.to_s.gsub("#{schema}.", "") } } }
  end

  def loaded(connection, schema, sql)
    connection.exec(
      "DROP SCHEMA IF EXISTS #{schema} CASCADE; CREATE SCHEMA #{schema}; SET search_path TO #{schema}; #{sql.gsub("public.", "")}"
    )
    catalogue(connection, schema)
  ensure
    connection.exec("DROP SCHEMA IF EXISTS #{schema} CASCADE; SET search_path TO public")
  end

  def test_a_schema_read_and_written_again_makes_the_same_catalogue
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    assert_empty D::Physical::Schema.new(SCHEMA).into(draft).map(&:told)
    again = D::Physical::Script.new(draft).text
    said = Basalt::Statements::Unparser.new(draft).project
    copy = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    Basalt::Statements::Document.new(said).into(copy)
    assert_equal again, D::Physical::Script.new(copy).text
    connection = ActiveRecord::Base.connection.raw_connection
    assert_equal loaded(connection, "read_before", SCHEMA), loaded(connection, "written_after", again)
  end

  def test_schemas_that_cannot_be_read_say_where_and_statements_not_modelled_are_kept
    draft = -> { Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid }) }
    {
      "CREATE TABLE x (\n a int,,\n b int)" => /line 2: syntax error/,
      "CREATE TABLE `x` (a int)" => /backquotes is of another server/,
      "CREATE TABLE x (a int) ENGINE=InnoDB" => /ENGINE = is of another/,
      "x" * 50_000_001 => /larger than 50 MB/
    }.each do |sql, message|
      assert_match message, assert_raises(Basalt::Mistake) { D::Physical::Schema.new(sql).into(draft.call) }.message
    end
    read = D::Physical::Schema.new("CREATE TABLE a (b int);\n\nCREATE CAST (a AS int) WITH INOUT;\nINSERT INTO a VALUES (1);")
    kept = read.into(one = draft.call)
    assert_equal([[3, "CREATE CAST (a AS int) WITH INOUT"]], kept.map { |statement| [statement.line, statement.text] })
    assert_equal ["1 statement with data"], read.left_out
    assert_equal ["a"], one.of_kind("table").map(&:name)
    wide = D::Physical::Schema.new("CREATE TABLE wide (#{(1..1000).map { |n| "c#{n} int" }.join(", ")})")
    wide.into(two = draft.call)
    assert proved(two).passed?
  end

  def test_the_proof_tells_what_the_server_says_and_leaves_nothing
    draft =
      model(
        "sheet T: tables\ntable crews\ncrews has crew_id bigint key, code varchr(12)\ntable jobs\njobs has crew_id bigint required " \
        "references crews"
      )
    outcome = proved(draft)
    refute outcome.passed?
    assert_equal [0, "type \"varchr\" does not exist", "crews", "code", "code varchr(12)"],
                 [outcome.ran, outcome.message, draft.element(outcome.element_id).name, draft.element(outcome.part_id).name, outcome.line]
    assert_empty ActiveRecord::Base.connection.select_values("SELECT datname FROM pg_database WHERE datname LIKE 'proof_%'")
    assert_empty ActiveRecord::Base.connection.select_values("SELECT rolname FROM pg_roles WHERE rolname LIKE 'proof_%'")
  end

  def test_a_script_reaches_nothing_else_and_not_for_ever
    statement = ->(text) { Store::Proof.of([D::Physical::Script::Statement.new(text:, element_id: nil)]) }
    assert_match(/permission denied|must be superuser|superuser/i, statement.call("COPY (SELECT 1) TO PROGRAM 'id'").message)
    assert_match(/permission denied/, statement.call("CREATE ROLE other").message)
    assert_match(/multiple commands/, statement.call("CREATE TABLE x (a int); SET statement_timeout = 0").message)
    assert_match(/statement timeout/, statement.call("SELECT pg_sleep(20)").message)
    assert_match(/permission denied/, statement.call("SELECT pg_read_file('/etc/passwd')").message)
  end
end
