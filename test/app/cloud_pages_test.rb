# frozen_string_literal: true

require_relative "../support/request_helper"
require_relative "../support/standing_in"

# Clouds through the pages: who reaches whom, accounts that come in, and credentials that stay nowhere.
class CloudPagesTest < Minitest::Test
  include RequestHelper
  include StandingIn

  SECRET = "a secret that must not be found 7f3a91"
  CLOUD = "project P\nsheet C: cloud\ninternet\nnetwork net 10.60.0.0/16\nsubnet edge 10.60.0.0/24 in net\nsubnet app 10.60.1.0/24 in " \
          "net\n" \
          "internet gateway gate in net\nmachine front in edge at 10.60.0.10, public\nmachine web in app at 10.60.1.10\ngroup " \
          "fronts\ngroup webs\n" \
          "front belongs to fronts\nweb belongs to webs\nfronts allows in tcp 443 from anywhere\nfronts allows out everything to " \
          "anywhere\n" \
          "webs allows in tcp 8080 from fronts\nwebs allows in tcp 9100 from webs"

  def setup
    super
    @project = project(CLOUD)
    @path = "/projects/#{@project.id}/sheets/#{sheet_of(@project, "C").id}"
    @accounts = "/projects/#{@project.id}/cloud-accounts"
  end

  def set = model_of(@project)
  def id(name) = set.named(name).first.id
  def words = Nokogiri::HTML5(last_response.body).text.gsub(/\s+/, " ")
  def connections = set.of_kind("connection")

  def bring(document)
    file = Rack::Test::UploadedFile.new(StringIO.new(JSON.generate(document)), "application/json", original_filename: "account.json")
    post @accounts, { token:, file: }
    assert_predicate last_response, :redirect?, last_response.body
    follow_redirect!
  end

  def take(**values)
    post "#{last_request.path}/take", { token:, **values }
    Store::Task.order(:created_at).last.work
    follow_redirect!
  end

  def test_who_reaches_a_thing_is_told_and_drawn
    get "#{@path}/reach/#{id("web")}"
    assert_match(/What may reach it front tcp 8080 between groups Draw it What it may reach Nothing/, words)
    send_act("reach-taken/#{id("web")}", way: "in", others: id("front"))
    assert_equal([[id("front"), id("web"), "8080", true]], connections.map { |one| [*one.endpoints, one["ports"], one["taken"]] })
    send_act("reach-taken/#{id("web")}", way: "in", others: id("front"))
    assert_equal 1, connections.length
    get "#{@path}/facts/#{connections.first.id}"
    assert_includes words, "webs allows in tcp 8080 from fronts"
    rule = set.of_kind("rule").find { |one| one["ports"] == "8080" }
    get "/projects/#{@project.id}/reach/without/#{rule.id}"
    assert_includes words, "front no longer reaches web by tcp 8080"
    send_act("statements", statements: "remove webs allows in tcp 8080 from fronts")
    get "#{@path}/findings", {}, "HTTP_HX_REQUEST" => "true"
    assert_includes words, "The rules do not allow any more that front reaches web by tcp 8080"
  end

  def test_questions_are_asked_in_the_margin_and_on_the_page
    get "#{@path}/asked/#{id("front")}", way: "from", other: "internet", protocol: "tcp", port: "443"
    assert_includes words, "internet can reach front by tcp 443."
    get "/projects/#{@project.id}/reach/asked", from: "front", other: "web", way: "to", protocol: "tcp", port: "22"
    assert_includes words, "front cannot reach web by tcp 22"
    get "/projects/#{@project.id}/reach/asked", from: "front", other: "nobody", way: "to", protocol: "tcp", port: "22"
    assert_includes words, "Nothing of a cloud is called “nobody”"
    send_act("statements", statements: "front targets web, tcp 8080")
    get "/projects/#{@project.id}/reach"
    assert_match(/frontmachine tcp 443.*From there front targets web by tcp 8080/, words)
    get "/projects/#{@project.id}/cloud-resources.csv"
    assert_includes last_response.body, "web,machine,app,,10.60.1.10,,webs"
    get "/projects/#{@project.id}/reach.csv"
    assert_includes last_response.body, "front,web,tcp 8080,between groups"
  end

  def test_an_account_comes_in_is_compared_and_is_one_act
    document = Standins::Cloud::Account.new.document
    bring(document)
    assert_match(/0 gone and 0 altered/, words)
    take(sheet: "yes")
    assert_match(/\d+ new, 0 altered, 0 gone/, words)
    sheet = sheet_of(@project, "Tarnwater telemetry account")
    assert_operator set.things_on(sheet.id).count { |one| set.placement(sheet.id, one.id).box }, :>, 50
    before = rows(set)
    document["resources"].reject! { |one| one["id"] == "sys0-jobs1" }
    document["connections"].reject! { |one| one.values.include?("sys0-jobs1") }
    document["resources"].first["name"] = "way to all"
    bring(document)
    assert_match(/internet gateway sys0 gate: name sys0 gate, now way to all/, words)
    take
    assert_empty set.named("sys0 jobs1")
    @path = "/projects/#{@project.id}"
    send_act("undo")
    assert_equal before, rows(set)
  end

  def test_what_is_no_inventory_is_refused_with_its_place
    document = Standins::Cloud::Account.new.document
    document["resources"][3]["in"] = "gone"
    file = Rack::Test::UploadedFile.new(StringIO.new(JSON.generate(document)), "application/json", original_filename: "account.json")
    post @accounts, { token:, file: }
    assert_equal 422, last_response.status
    assert_includes words, "at /resources/3/in"
    assert_equal 0, Store::Intake.count
  end

  # @return [Store::Task] when it is through
  def pull(url, secret: SECRET)
    post "#{@accounts}/pulls", { token:, endpoint: url, key: Standins::Cloud::Server::KEY, secret: }
    assert_predicate last_response, :redirect?, last_response.body
    Store::Task.order(:created_at).last.wait(20)
  end

  def test_an_account_is_read_through_throttling_and_failures
    standing_in(secret: SECRET, throttle: 3, failing: 5, page: 7) do |url, server|
      task = pull(url)
      assert_equal "done", task.state, task.result.inspect
      assert_operator server.count, :>, 15
      get "#{@accounts}/pulls/#{task.id}"
      follow_redirect!
      assert_includes words, "Tarnwater telemetry account"
    end
  end

  def test_a_pull_that_breaks_off_takes_nothing_and_says_why
    { { secret: "another", throttle: nil, failing: nil } => /does not take the key/,
      { secret: SECRET, broken_after: 4, throttle: nil, failing: nil } => /something that is no JSON/,
      { secret: SECRET, failing: 1, throttle: nil } => /failed 6 times/ }.each do |about, why|
      standing_in(**about) do |url|
        task = pull(url)
        assert_equal "refused", task.state
        assert_match why, task.result["reason"]
        get "#{@accounts}/pulls/#{task.id}"
        assert_match why, words
      end
    end
    assert_equal 0, Store::Intake.count
  end

  def test_pages_read_from_nowhere_but_what_is_allowed
    post "#{@accounts}/pulls", { token:, endpoint: "http://169.254.10.10/", key: "k", secret: SECRET }
    assert_equal 422, last_response.status
    assert_match(/read here from nowhere: BASALT_CLOUD_ENDPOINTS/, words)
    assert_equal 0, Store::Task.count
  end

  def test_a_sheet_begins_with_a_structure_and_repeats_what_is_in_it
    get "#{@path}/beginnings"
    pictures = last_response.body.scan(%r{/cloud-beginnings/[^"]+\.svg}).uniq
    assert_equal 8, pictures.length
    get pictures.first
    assert_includes last_response.body, "my-"
    post "#{@path}/begun", { token:, beginning: "event pipeline", prefix: "map" }
    assert_predicate last_response, :redirect?
    assert set.shown?(sheet_of(@project, "C").id, id("map-intake"))
    post "#{@path}/begun", { token:, beginning: "event pipeline", prefix: "a b" }
    assert_equal 422, last_response.status
    send_act("repeated/#{id("app")}", outside: "yes")
    assert_equal "10.60.2.0/24", set.named("app-2").first["prefixes"]
  end

  def test_further_facts_are_said_and_stand_in_labels
    send_act("fact-kept/#{id("web")}", name: "memory", value: "8 GB")
    send_act("fact-shown/#{id("web")}", fact: "memory", whom: "kind")
    assert_includes last_response.body, "memory 8 GB"
    get "#{@path}/facts/#{id("web")}"
    assert_match(/memory ?8 GB not in its label/, words)
    send_act("fact-kept/#{id("web")}", name: "memory", value: "")
    assert_nil set.element(id("web"))["details"]
  end

  # Every text of every table is looked at, the project as a file, and what was written to the log.
  def test_the_secret_is_found_nowhere
    said = capture_io do
      standing_in(secret: SECRET, broken_after: 3) { |url| pull(url) }
      standing_in(secret: SECRET) { |url| pull(url) }
    end
    tables = ActiveRecord::Base.connection.tables
    assert_includes tables, "tasks"
    found = tables.select { |table| ActiveRecord::Base.connection.select_values("SELECT t::text FROM #{table} t").any? { |row| row.include?(SECRET) } }
    assert_empty found
    refute_includes said.join, SECRET
    refute_includes Basalt::Formats::ProjectDocument.write(set).to_s, SECRET if Basalt::Formats::ProjectDocument.respond_to?(:write)
    refute_includes Web::Families::Cloud::Collector.new("http://127.0.0.1:1", "k", SECRET).inspect, SECRET
  end
end
