# frozen_string_literal: true

require_relative "../support/browser_helper"

# From a sketch of entities to tables that a server accepts, and back.
class DataTest < Minitest::Test
  include BrowserHelper

  SKETCH =
    "project Tarnwater\nsheet Work: entities\nentity Crew\nCrew has code key, phones many\nentity Job\nJob has number key, started on\n" \
    "a Crew does zero or more Job; a Job \"is done by\" exactly one Crew"

  def sketched
    @project = project(SKETCH)
    open_sheet(@project, "Work")
  end

  def set = model_of(@project)

  def test_sketching_reading_back_and_going_back
    sketched
    say "entity Site"
    say "a Crew serves Site"
    find("#layer-labels > g", text: "serves").click
    assert_css ".read-back li", text: "Each Crew serves some Sites (how many is open)."
    fill_in "Site: how many", with: "exactly one"
    find_field("Site: how many").send_keys(:tab)
    assert_css ".read-back li", text: "Each Crew serves exactly one Site."
    first(:button, "Confirm").click
    assert_css ".read-back li.confirmed", text: "exactly one Site"
    thing("Crew").click
    click_button "Make phones an entity"
    assert_css "#facts h2", text: "Phone"
    assert_equal "zero or more", set.named("has").first.ends.last.facts["cardinality"]
    page.send_keys([:control, "z"])
    assert_css "#answer", text: "Undone: made phones an entity"
    assert_empty set.named("Phone")
    page.send_keys(:escape)
    assert_css "#facts", text: "1 of 4 sentences confirmed"
    assert_accessible "an entities sheet"
  end

  def test_names_nobody_knows_are_offered_to_be_said_first_and_parts_have_tables
    expect_refusals
    sketched
    fill_in "statement", with: "a Reader walks at least one Meter Round"
    find_field("statement").send_keys(:enter)
    click_button "Say first: entity Reader; entity Meter Round"
    settled
    assert_equal "one or more", set.named("walks").first.ends.last.facts["cardinality"]
    find("#tabs [data-kind=attribute]").click
    fresh = find("#table tr.new td[data-key='part of']")
    fresh.click
    fresh.send_keys("Reader", :tab)
    page.active_element.send_keys("badge", :enter)
    assert_css "#layer-things > g", text: "badge"
    settled
    assert_equal "Reader", set.element(set.named("badge").first.owner_id).name
    find("#table td[data-key='part of']", text: "Reader").click
    page.active_element.send_keys("Crew", :enter)
    assert_css "#answer, #findings", text: /./
    assert_no_css "#layer-things > g", text: /Reader.*badge/m
    settled
    assert_equal "Crew", set.element(set.named("badge").first.owner_id).name
  end

  def test_the_same_sheet_in_two_notations_each_with_its_layout
    sketched
    before = set.placements.each.to_h { |placed| [placed.id, placed.box] }
    click_button "diamonds and ovals"
    assert_css ".choice[aria-pressed=true]", text: "diamonds and ovals"
    assert_css "#layer-labels path.p-outline", visible: :all
    refute_equal(before, set.placements.each.to_h { |placed| [placed.id, placed.box] })
    assert_accessible "an entities sheet with diamonds"
    click_button "boxes", exact: true
    assert_css ".choice[aria-pressed=true]", exact_text: "boxes"
    assert_equal(before, set.placements.each.to_h { |placed| [placed.id, placed.box] })
  end

  def test_deriving_refining_deriving_again_and_proving
    sketched
    click_link "Derive tables"
    assert_css "h2", text: "Added"
    assert_text "A row of jobs holds one Job."
    assert_accessible "what would be derived"
    click_button "Take all of it"
    assert_css "#layer-things > g", text: "crew_phones"
    click_button "Prove it on the server"
    assert_css "#answer", text: "Proved: the server took all 3 statements"
    say "jobs has number varchr(9)"
    click_button "Prove it on the server"
    assert_css "#answer [role=alert]", text: "type \"varchr\" does not exist"
    assert_accessible "a tables sheet"
    say "jobs has number varchar(9)"
    open_sheet(@project, "Work")
    say "Job has priority required"
    click_link "Derive tables"
    assert_css "h2", text: /\AAdded\s1\z/
    assert_no_text "number varchar(9)"
    click_button "Take all of it"
    assert_css "#layer-things > g", text: "priority"
    assert_equal "varchar(9)", Basalt::Data::Tabling.column(set, set.named("jobs").first.id, "number")["type"]
    assert_nil(Basalt::Data::Logical::Derivation.new(set).steps.find { |step| step.act != :keep })
  end

  def test_a_schema_is_brought_in
    @project = project("project Tarnwater")
    visit "/projects/#{@project.id}"
    path = File.join(DOWNLOADS, "old_stock.sql")
    File.write(
      path,
      "CREATE TABLE parts (part_id bigint PRIMARY KEY, price real);\nCREATE TABLE stock (part_id bigint REFERENCES parts, held int, " \
      "PRIMARY KEY (part_id));\nGRANT SELECT ON parts TO PUBLIC;\nCREATE DOMAIN litres AS int;"
    )
    attach_file "schema", path
    click_button "Read the schema"
    assert_text "2 tables and 1 domain taken"
    assert_text "CREATE DOMAIN litres AS int"
    assert_text "1 right given or taken"
    assert_accessible "a schema brought in"
    find("main").click_link "old stock"
    assert_css ".finding", text: "parts.price keeps money as real"
    click_button "Make it numeric(12,2)"
    assert_no_css ".finding", text: "keeps money"
  end

  METERS = File.expand_path("../../standins/database/meters.sql", __dir__)

  def test_rows_that_are_typed_tell_what_determines_what
    @project = project("project N\nsheet S: tables\ntable crews\ncrews has crew integer key, depot text, manager text", name: "N")
    set = model_of(@project)
    visit "/projects/#{@project.id}/sheets/#{set.sheet_list.first.id}/tables/#{set.named("crews").first.id}/dependencies"
    fill_in "crew, row 1", with: "1"
    page.send_keys(:tab, "North", :tab, "Ida", :tab, "2", :tab, "North", :tab, "Ida", :tab, "3", :tab, "South", :tab, "Ida")
    assert_text "depot determines manager"
    find_field("crew, row 4").send_keys("4", :tab, "South", :tab, "Olaf", :enter)
    assert_no_text "depot determines manager"
    assert_field "crew, row 5"
    assert_equal "manager, row 5", evaluate_script("document.activeElement.getAttribute('aria-label')")
    find_field("manager, row 4").fill_in(with: "Ida")
    assert_text "depot determines manager"
    assert_accessible "what determines what"
    click_button "Say so", match: :first
    assert_text "it is in second normal form"
  end

  def test_a_dump_is_brought_in_proved_altered_and_migrated
    @project = project("project Tarnwater")
    visit "/projects/#{@project.id}"
    attach_file "schema", METERS
    click_button "Read the schema"
    assert_text "CREATE TRIGGER meters_touched"
    find("main").click_link "meters"
    assert_css "#layer-things > g", text: "meters_touched"
    click_button "Prove it on the server"
    assert_css "#answer", text: "Proved: the server took all"
    say "meters has installed_on date"
    say "meter_state is one of planned, fitted, faulty, removed, lost"
    settled
    thing("meter_state").click
    assert_field "SQL", with: /'removed', 'lost'/
    page.send_keys(:escape)
    click_link "Migrate to it"
    assert_accessible "where a migration begins"
    first("label", text: "said: meters has installed_on date").click
    click_button "Compare with that"
    assert_css ".migration li", text: "ALTER TABLE meters ADD COLUMN installed_on date;"
    assert_css ".migration li", text: "ALTER TYPE meter_state ADD VALUE 'lost' AFTER 'removed';"
    assert_text "Proved: in a scratch database the old state became the new one."
    assert_accessible "a migration"
    click_link "To the sheet"
    click_link "For SQLite"
    click_button "Prove it on SQLite"
    assert_text "Proved: the server took all"
    assert_accessible "the tables for another engine"
  end
end
