# frozen_string_literal: true

require_relative "../support/request_helper"

# The dictionary, the conventions and bad input to what is derived.
class DataPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def entities = sheet_of(@project, "Work orders")
  def send_to(path, values = {}) = post("#{base}/#{path}", values.merge(token:))

  def test_the_dictionary_as_page_csv_and_markdown
    get "#{base}/dictionary"
    assert_match "people who are sent out together", last_response.body
    csv = CSV.parse(get("#{base}/dictionary.csv").body, headers: true)
    crew, table, column =
      [%w[entity Crew], %w[table crews], %w[column code]].map do |kind, name|
        csv.find { |row| row["kind"] == kind && row["name"] == name }
      end
    assert_equal ["people who are sent out together", "people who are sent out together", "Crew.code"],
                 [crew["meaning"], table["meaning"], column["source"]]
    assert_equal "job", csv.find { |row| row["name"] == "Work Order" }["also called"]
    markdown = get("#{base}/dictionary.md").body
    assert_equal csv.length + 2, markdown.lines.length
    assert_match(/\| entity \| Crew \|/, markdown)
  end

  def test_what_people_wrote_does_no_harm_in_the_dictionary
    other = project("project O\nsheet S: entities\nentity \"=1+1\"\n\"=1+1\" has \"a|b\" meaning \"<script>x</script>\"", name: "O")
    assert_match "'=1+1", get("/projects/#{other.id}/dictionary.csv").body
    markdown = get("/projects/#{other.id}/dictionary.md").body
    assert_match "a\\|b", markdown
    refute_match "<script>x", markdown + get("/projects/#{other.id}/dictionary").body
  end

  def test_a_guessed_type_is_told_with_others_a_click_away
    sheet = sheet_of(@project, "Work orders as tables")
    set = model_of(@project)
    margin = -> { get("#{base}/sheets/#{sheet.id}/facts/#{set.named("work_orders").first.id}").body }
    assert_match(/priority text.*priority integer/m, margin.call[/Types guessed from names.*/m])
    column = Basalt::Data::Tabling.columns(set, set.named("work_orders").first.id).find { |one| one.name == "priority" }
    send_to("sheets/#{sheet.id}/facts/#{column.id}", fact: "type", value: "integer")
    refute_match(/priority/, margin.call[/Types guessed from names.*/m])
  end

  def test_conventions_show_a_sample_and_rename_what_nobody_named
    get "#{base}/conventions/sample?tables=singular&case=upper"
    assert_match(/WORK_ORDER.*CREW_ID/m, last_response.body)
    get "#{base}/conventions/sample?longest=3"
    assert_match(/from 8 to 63/, last_response.body)
    send_to("conventions", "tables" => "singular", "case" => "snake", "keys" => "surrogate", "foreign key" => "{entity} ref")
    assert_equal 302, last_response.status
    get "#{base}/sheets/#{entities.id}/derive"
    assert_match "table crews: name crew", last_response.body
    assert_match "column shifts.crew_id: name crew_ref", last_response.body
    send_to("sheets/#{entities.id}/derive", all: "yes")
    assert_includes model_of(@project).of_kind("table").map(&:name), "crew"
    get "#{base}/sheets/#{entities.id}/derive"
    assert_match "Nothing differs", last_response.body
  end

  def test_steps_can_be_chosen_and_choosing_none_is_refused
    send_act("statements", statements: "entity Depot")
    post "#{base}/sheets/#{entities.id}/statements",
         { statements: "Crew has radio call sign\nentity Depot", token: },
         "HTTP_HX_REQUEST" => "true"
    get "#{base}/sheets/#{entities.id}/derive"
    keys = Nokogiri.HTML(last_response.body).css("input[name='steps[]']").map { |input| input["value"] }
    send_to("sheets/#{entities.id}/derive")
    assert_equal 422, last_response.status
    send_to("sheets/#{entities.id}/derive", steps: [keys.find { |key| key.start_with?("add") && !key.include?("table") }])
    names = model_of(@project).of_kind("column").map(&:name)
    assert_includes names, "radio_call_sign"
    refute_includes model_of(@project).of_kind("table").map(&:name), "depots"
  end

  def test_what_cannot_be_done_is_refused_and_changes_nothing
    set = model_of(@project)
    before = rows(set)
    crew = set.named("Crew").first.id
    relationship = set.named("carries out").first.id
    [
      ["made/#{crew}", { into: "attribute" }, /more than one/],
      ["made/#{crew}", { into: "wombat" }, /cannot be made/],
      ["made/#{crew}", { into: "one", other: "x" }, /no longer there/],
      ["ends/#{relationship}", { role: "one", fact: "cardinality", value: "some" }, /exactly one/],
      ["ends/#{relationship}", { role: "one", fact: "wings", value: "2" }, /says no wings/],
      ["judged/#{relationship}", { index: 0, verdict: "maybe" }, /confirmed, disputed or open/],
      ["variant", { variant: "spirals" }, /drawn/]
    ].each do |path, values, message|
      post "#{base}/sheets/#{entities.id}/#{path}", values.merge(token:), "HTTP_HX_REQUEST" => "true"
      assert_includes [409, 422], last_response.status, path
      assert_match message, last_response.body
    end
    post "#{base}/schemas",
         { token:, schema: Rack::Test::UploadedFile.new(StringIO.new("CREATE TABLE x ("), "text/plain", original_filename: "x.sql") }
    assert_match(/line 1: syntax error/, last_response.body)
    assert_equal before, rows(model_of(@project))
  end
end
