# frozen_string_literal: true

require_relative "../support/request_helper"
require "csv"

# Sources, requirements and activity tables through the pages, and what is wrong with them.
class BriefPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def send_to(path, values = {}) = post("#{base}/#{path}", values.merge(token:))
  def set = model_of(@project)
  def upload(name, content) = Rack::Test::UploadedFile.new(StringIO.new(content), "text/plain", original_filename: name)

  def take_in(text, name: "Told")
    send_to("sources", name:, text:)
    set.named(name).find { |one| one.kind == "source" }
  end

  def test_a_source_is_taken_in_marked_and_struck_and_all_of_it_can_be_undone
    source = take_in("A caller reports <b>a leak</b>.\nA caller waits.")
    get "#{base}/sources/#{source.id}"
    assert_match "reports &lt;b&gt;a leak", last_response.body
    send_to("sources/#{source.id}/marks", quote: "A caller", at: "32", as: "outsider", name: "A caller")
    phrase = Basalt::Brief::Marking.phrases(set, source.id).first
    assert_equal [32, "outsider"], [phrase["at"], phrase["as"]], last_response.body[0, 300]
    assert_equal ["A caller"], Basalt::Brief::Marking.things(set, phrase.id).map(&:name)
    get "#{base}/sources/#{source.id}"
    assert_match(%r{<mark\s+class="as-outsider"[^>]*>A caller</mark> waits}, last_response.body)
    send_to("sources/#{source.id}/phrases/#{phrase.id}/struck")
    assert_empty Basalt::Brief::Marking.phrases(set, source.id)
    send_to("undo")
    assert_equal 1, Basalt::Brief::Marking.phrases(set, source.id).length
  end

  def test_what_cannot_be_marked_is_said_and_nothing_is_lost
    source = take_in("A caller reports a leak.")
    version = set.version
    {
      { quote: "", as: "entity", name: "x" } => "Select a phrase",
      { quote: "nowhere", as: "entity", name: "x" } => "does not stand in the text",
      { quote: "a leak", as: "nonsense", name: "x" } => "cannot become",
      { quote: "a leak", as: "attribute", name: "leak" } => "say whose it is",
      { quote: "a leak", as: "entity", name: "" } => "name",
      { quote: "a leak", as: "remark" } => "A remark says something",
      { quote: "a leak", as: "entity", thing: "Nothing here" } => "Nothing is called"
    }.each do |values, message|
      send_to("sources/#{source.id}/marks", values)
      assert_equal [422, version], [last_response.status, set.version], values.inspect
      assert_match message, last_response.body, values.inspect
    end
    {
      { name: "T", text: " " } => "There is no text",
      { name: "", text: "x" } => "name",
      { name: "P", file: upload("a.pdf", "%PDF-1.4") } => "no plain text"
    }.each do |values, message|
      send_to("sources", values)
      assert_match message, last_response.body
    end
    assert_equal version, set.version
    assert_equal 404, get("#{base}/sources/#{SecureRandom.uuid}").status
    other = project("entity Crew", name: "Other")
    assert_equal 404, get("/projects/#{other.id}/sources/#{source.id}").status, "a source is reached through its project"
  end

  def test_a_source_without_words_gets_them_and_is_altered_deleted_and_brought_back
    bare = project("source Bare, origin somebody", name: "Bare")
    source = model_of(bare).named("Bare").first
    path = "/projects/#{bare.id}/sources/#{source.id}"
    assert_match "Its words are not here yet", get(path).body
    post("#{path}/versions", { token:, text: "A caller rings." })
    assert_match "A caller rings.", get(path).body
    assert_nil model_of(bare).element(source.id)["version"]
    post("#{path}/facts", { token:, name: "Told", origin: "", dated: "today" })
    assert_equal(["Told", nil, "today"], model_of(bare).element(source.id).then { |one| [one.name, one["origin"], one["dated"]] })
    post("#{path}/removed", { token: })
    assert_equal 404, get(path).status
    post("/projects/#{bare.id}/undo", { token: })
    assert_match "A caller rings.", get(path).body
  end

  def test_a_text_of_a_million_words_is_taken_in_and_shown_in_parts
    send_to(
      "sources",
      name: "Long",
      file: upload("long.txt", Array.new(100_000) { |n| "Line #{n} has words and more words in it here." }.join("\n"))
    )
    source = set.named("Long").first
    get "#{base}/sources/#{source.id}"
    assert_match "Line 0 has", last_response.body
    refute_match "Line 99999 has", last_response.body
    assert_match "Line 99999 has", get("#{base}/sources/#{source.id}?part=9999").body
    send_to("sources", name: "Too long", file: upload("long.txt", "x" * 10_000_001))
    assert_match "larger than 10 MB", last_response.body
  end

  def test_requirements_come_in_and_go_out_and_coverage_tells_what_lacks
    sheet = sheet_of(@project, "Supply map brief as requirements")
    get "#{base}/coverage"
    assert_match "83 %", last_response.body
    assert_match(/4 journeys, walked for 7 of 8 requirements; none for R9/, last_response.body)
    assert_match(/Met by nothing.*R5.*R6.*Outside the brief.*Weather feed/m, last_response.body)
    rows = CSV.parse(get("#{base}/coverage.csv").body, headers: true)
    assert_equal ["R2", "Supply map", "1"], rows[1].values_at("number", "met by", "Supply map in context")
    post(
      "#{base}/sheets/#{sheet.id}/requirements",
      {
        token:,
        file:
          upload(
            "more.md",
            "# Residents\n\n- R13: A resident sees the map in Welsh. (could, proposed)\n- **R5** — The map can be read aloud."
          )
      },
      "HTTP_HX_REQUEST" => "true"
    )
    assert_equal(["A resident sees the map in Welsh.", "could"], set.named("R13").first.facts.values_at("text", "priority"))
    assert_match "R13", get("#{base}/requirements.md").body
    post(
      "#{base}/sheets/#{sheet.id}/requirements",
      { token:, file: upload("bad.csv", "number,words\nR1,x") },
      "HTTP_HX_REQUEST" => "true"
    )
    assert_match "no column “text”", last_response.body
    context = sheet_of(@project, "Supply map in context")
    feed = set.named("Weather feed").first
    post("#{base}/sheets/#{context.id}/met/#{feed.id}", { token:, number: "R12" }, "HTTP_HX_REQUEST" => "true")
    refute_match "Weather feed</a>", get("#{base}/coverage").body
    post("#{base}/sheets/#{context.id}/met/#{feed.id}", { token:, number: "R12", no: "yes" }, "HTTP_HX_REQUEST" => "true")
    assert_match "Weather feed</a>", get("#{base}/coverage").body
    post("#{base}/sheets/#{context.id}/met/#{feed.id}", { token:, number: "R99" }, "HTTP_HX_REQUEST" => "true")
    assert_match "no requirement “R99”", last_response.body
  end

  def test_tables_that_lack_columns_and_processes_under_themselves_are_refused
    table = sheet_of(@project, "Leak response table")
    post("#{base}/sheets/#{table.id}/activities", { token:, file: upload("a.csv", "who,gives\nClerk,form") }, "HTTP_HX_REQUEST" => "true")
    assert_match "no column “does”", last_response.body
    version = set.version
    top, inner = %w[Leak\ response Register\ report].map { |name| set.named(name).find { |one| one.kind == "process" } }
    post(
      "#{base}/sheets/#{sheet_of(@project, "Leak response in context").id}/facts/#{top.id}",
      { token:, fact: "container", value: inner.name },
      "HTTP_HX_REQUEST" => "true"
    )
    assert_match "is itself in Leak response", last_response.body
    assert_equal version, set.version
    assert_equal 12, get("#{base}/sheets/#{table.id}/activities.csv").body.lines.length
  end

  def test_lists_of_the_sample
    assert_match(
      /Telemetry platform.*readings.*in.*message queue/m,
      get("#{base}/sheets/#{sheet_of(@project, "Supply map in context").id}/interfaces").body
    )
    assert_match(/Register report.*Work Order|Work Order.*Register report/m, get("#{base}/uses").body)
    framing = get("#{base}/sheets/#{sheet_of(@project, "Leak response table").id}/framing").body
    assert_match(/Regulator.*outside.*nothing it does processes information/m, framing)
    assert_match "Nothing differs", framing
  end
end
