# frozen_string_literal: true

require_relative "../support/request_helper"

# Journeys and decisions through the pages.
class JourneysPagesTest < Minitest::Test
  include RequestHelper

  PARTS = "project P\nrequirement R1: A caller can report a leak\nsheet Parts: components\ncomponent App\ncomponent Desk\n" \
          "component Book\nApp depends on Desk\njourney Report, by Caller\nstep 1 of Report: App to Desk: report it, meets R1\n" \
          "step 2 of Report: Desk to Book: keep it\nstep 3 of Report: Desk to Pager: page"

  def setup
    super
    @project = project(PARTS)
    @path = "/projects/#{@project.id}/sheets/#{sheet_of(@project, "Parts").id}"
  end

  def set = model_of(@project)
  def id(name) = set.named(name).first.id
  def words = Nokogiri::HTML5(last_response.body).text.gsub(/\s+/, " ")
  def journey = set.of_kind("journey").first
  def script = Basalt::Journeys::Script.of(set, journey.id)
  def upload(text) = Rack::Test::UploadedFile.new(StringIO.new(text), "text/markdown", original_filename: "records.md")

  def test_a_journey_is_begun_said_and_mended_where_it_is_walked
    send_act("journeys", name: "Close a leak", who: "Crew")
    assert_equal(%w[Caller Crew], set.of_kind("journey").map { |one| one["who"] })
    get "#{@path}/facts/#{journey.id}"
    assert_match(/Not there yet 3 Pager.*2 Desk – Book Join them/m, words)
    send_act("journey-part", noun: "component", name: "Pager")
    step = Basalt::Journeys::Survey.of(set).journeys.first.steps[1].element
    send_act("journey-joined/#{step.id}")
    send_act("journey/#{journey.id}", text: script.sub("keep it", "\"keep it, and tell\"").sub("Desk to Pager", "Book to Pager"))
    assert_match(/2 Desk to Book: "keep it, and tell"\n3 Book to Pager: page/, script)
    get "#{@path}/facts/#{journey.id}"
    assert_match(/Not there yet 3 Book – Pager/, words)
    send_act("journey/#{journey.id}", text: "1 App to Desk: a\n1a1 x")
    assert_match(/line 2: there is no line 1a above that 1a1 could belong to/, words)
    assert_match(/keep it, and tell/, script, "nothing is lost")
    { "journey-part" => { noun: "nonsense", name: "Q" }, "journeys" => { name: " " }, "journey/#{id("App")}" => { text: "x" },
      "journey-joined/#{id("App")}" => {} }.each { |path, values| refute_empty(send_act(path, **values).then { words }, path) }
    assert_equal 2, set.of_kind("journey").length
  end

  def test_it_is_walked_on_the_drawing_and_told_as_a_page
    get "#{@path}/walk"
    walk = JSON.parse(last_response.body)
    assert_equal(%w[1 2 3], walk["steps"].map { |step| step["number"] })
    assert_equal [id("App"), id("Desk"), set.of_kind("dependency").first.id].sort, walk["steps"].first["ids"].sort
    assert_equal 3, Nokogiri::XML("<svg>#{walk["marks"]}</svg>").css("g").length
    get "#{@path}/walk?journeys=#{journey.id},nonsense"
    assert_equal 3, JSON.parse(last_response.body)["steps"].length
    base = "/projects/#{@project.id}/journeys"
    get base
    assert_match(/1 journey, walked for 1 of 1 requirement.*Report\s*Caller\s*3\s*Parts\s*R1/m, words)
    get "#{base}/#{journey.id}"
    assert_match(/By Caller.*1 App to Desk: report it meets R1.*3 Desk to Pager: page/m, words)
    get "#{base}/#{journey.id}/picture.svg?step=2"
    assert_match(/faint/, last_response.body)
    get "#{base}/#{id("App")}"
    assert_equal 404, last_response.status
  end

  def test_it_is_walked_elsewhere_becomes_an_interaction_and_says_what_it_needs
    send_act("journeys-here/#{journey.id}", on: "no")
    get "#{@path}/walk"
    assert_empty JSON.parse(last_response.body)["steps"]
    send_act("journeys-here/#{journey.id}", on: "yes")
    send_act("journey-interaction/#{journey.id}", step: "2")
    assert_equal(%w[Desk Book Pager], set.of_kind("participant").map(&:name))
    send_act("journey-interaction/#{journey.id}")
    talk = set.sheet_list.last
    assert_equal ["sequence", "Report 2"], [talk.notation_name, talk.name]
    assert_includes Basalt::Statements::Unparser.new(set).sheet(talk.id).join("\n"), "App asks Desk: report it"
    send_act("journey-declared/#{id("Book")}", states: "open, full ending as open, full")
    send_act("journey-declared/#{id("Book")}", asked: "site and day; street")
    get "#{@path}/facts/#{id("Book")}"
    declared = %w[states asked].map { |name| Nokogiri::HTML5(last_response.body).at("input[name=#{name}]")["value"] }
    assert_equal ["open, full ending as open, full", "site and day; street"], declared
    send_act("journey-declared/#{id("Book")}", states: "open, open")
    assert_match(/goes through open twice/, words)
    send_act("journey-declared/#{id("Book")}", asked: "street", states: "")
    assert_equal [1, 0], [set.of_kind("way of asking"), set.of_kind("states")].map(&:length)
  end

  def decision = set.of_kind("decision").last

  def test_something_is_decided_about_a_thing
    send_act("decided/#{id("Desk")}", choice: "One desk for all", reason: "callers do not know which")
    assert_equal ["D1", "One desk for all", "accepted"], [decision.name, *decision.facts.values_at("choice", "status")]
    get "#{@path}/facts/#{id("Desk")}"
    assert_match(/Decided D1 One desk for all because callers do not know which/, words)
    send_act("decision-option/#{decision.id}", name: "one for each district", for: "near", against: "eleven numbers")
    send_act("decision-option/#{decision.id}", name: "none")
    send_act("decision-option/#{decision.id}", name: "none", no: "yes")
    send_act("decision-about/#{decision.id}", name: "Book")
    send_act("decided/#{id("App")}", choice: "Another")
    send_act("decision-replaces/#{decision.id}", name: "D1")
    get "#{@path}/facts/#{id("D1")}"
    assert_match(/one for each district\s*for: near\s*against: eleven numbers.*About Desk not\s*Book not.*Replaced by D2/m, words)
    send_act("decision-about/#{id("D1")}", thing: id("Book"), no: "yes")
    about = Basalt::Decisions::About.of(set, id("D1")).map { |one| one.target("thing") }
    assert_equal [id("Desk")], about
    refused = { "decided/#{id("App")}" => { choice: " " }, "decision-about/#{id("D1")}" => { name: "Nobody" },
                "decision-replaces/#{id("D1")}" => { name: "D2" }, "decision-option/#{id("App")}" => { name: "x" } }
    refused.each { |path, values| refute_empty(send_act(path, **values).then { words }, path) }
    send_act("view", part: "signs", on: "yes")
    assert_match(/side_sign/, last_response.body)
  end

  def test_records_go_out_and_come_in
    send_act("decided/#{id("Desk")}", choice: "One desk for all", reason: "callers do not know which")
    base = "/projects/#{@project.id}/decisions"
    records = get("#{base}.md").body
    assert_match(/\A# D1: One desk for all/, records)
    post base, { token:, file: upload(records.sub("One desk", "Two desks") + "\n# D2: More\n## Status\nProposed, replaces D1\n") }
    follow_redirect!
    assert_match(/D2 More proposed.*D1 One desk for all/m, words.sub("Two desks", "One desk"))
    post base, { token:, file: upload("no record") }
    assert_match(/no line begins a record/, words)
    assert_equal 2, set.of_kind("decision").length
    send_act("decision-records", file: upload("# D3: Third"))
    assert_equal "Third", decision["choice"]
  end

  def test_the_command_walks
    Dir.mktmpdir do |folder|
      file = File.join(folder, "p.basalt").tap { |path| File.write(path, PARTS) }
      status, out = command("walk", file)
      assert_equal 1, status
      assert_includes out, "2 Desk to Book: keep it (nothing joins the two)"
      assert_includes out, "3 Desk to Pager: page (Pager not there)"
      command("walk", file, "--journey", "Report", "--to", File.join(folder, "out"))
      assert_equal %w[1.svg 2.svg 3.svg index.md], Dir.children(File.join(folder, "out")).sort
      assert_match(/there is no journey “Nobody”/, command("walk", file, "--journey", "Nobody").last)
    end
  end

  def command(*arguments)
    out, err = StringIO.new, StringIO.new
    [CommandLine::Main.run(arguments, out:, err:), out.string + err.string]
  end
end
