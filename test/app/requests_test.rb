# frozen_string_literal: true

require_relative "../support/request_helper"
require "minitest/mock"

# The application through Rack: bad input, limits, headers and files.
class RequestsTest < Minitest::Test
  include RequestHelper

  def act(...) = send_act(...)

  def refused(message, status = 422)
    assert_equal status, last_response.status, last_response.body[0, 300]
    assert_match message, last_response.body
    refute_match(/\.rb:\d+|backtrace|ActiveRecord/, last_response.body)
  end

  def test_whoever_opens_a_sheet_finds_it_ready_for_an_act
    token
    sent = []
    Store::ProjectSession.clear
    get @path, {}, { "rack.after_reply" => sent }
    sent.each(&:call)
    usual = Basalt::Drawing::SpatialIndex.method(:new)
    worked_out = []
    within = ->(set, id) { usual.call(set, id).tap { worked_out << id } }
    Basalt::Drawing::SpatialIndex.stub(:new, within) { send_act("statements", statements: "server one-more") }
    refute_includes worked_out, @sheet.id
    assert_equal 200, last_response.status, last_response.body
    assert_equal 1, model_of(@project).named("one-more").length
  end

  def test_statements_that_cannot_be_taken_are_refused_and_change_nothing
    before = rows(model_of(@project))
    {
      "" => /Say something/,
      "wombat" => /wombat/,
      "historian on" => /stops too early/,
      "x" * 10_000 => /at most/,
      "server \"" => /quote is not closed/,
      "server a\nserver b\nb on Nowhere" => /line 3/
    }.each do |text, message|
      act("statements", statements: text)
      refused message
    end
    assert_equal before, rows(model_of(@project))
  end

  def test_moves_that_make_no_sense_are_refused
    id = model_of(@project).named("fw-01").first.id
    [
      "",
      "{",
      "[[1,2,3]]",
      "[[\"#{id}\", \"x\", 2]]",
      "[[\"#{id}\", 1e300, 2]]",
      "[[\"#{SecureRandom.uuid}\", 1, 2]]",
      "[[[[[[1]]]]]]",
      "7"
    ].each do |moves|
      act("moves", moves:)
      assert_includes [409, 422], last_response.status, "#{moves}: #{last_response.status}"
    end
  end

  def test_facts_that_will_not_do_are_refused
    set = model_of(@project)
    [
      ["Plant", "vlan", "9000", /from 1 to 4094/],
      ["Plant", "prefix", "10.0.0.1/24", /bits set/],
      ["fw-01", "role", "toaster", /is one of/],
      ["fw-01", "wings", "2", /carries no wings/],
      ["fw-01", "name", "", /cannot be empty/],
      ["fw-01", "container", "Atlantis", /no place called/]
    ].each do |name, fact, value, message|
      act("facts/#{set.named(name).first.id}", fact:, value:)
      refused message
    end
  end

  def test_forms_without_their_token_are_refused
    post "#{@path}/statements", statements: "server x"
    assert_equal 403, last_response.status
    assert_empty model_of(@project).named("x")
  end

  def test_addresses_that_lead_nowhere
    other = project("project O\nsheet S: logical network\nserver z", name: "O")
    [
      "/nothing",
      "/projects/1",
      "/projects/#{SecureRandom.uuid}",
      "/projects/#{other.id}/sheets/#{sheet_of(@project, PLANT).id}",
      "#{@path}/register/wombat",
      "/projects/#{@project.id}/intakes/#{SecureRandom.uuid}",
      "#{@path}/facts/..%2f..",
      "/projects/%00"
    ].each do |path|
      get path
      assert_includes [404, 400], last_response.status, path
      refute_match(/\.rb:\d+/, last_response.body)
    end
  end

  def test_pages_are_strict
    get @path
    policy = last_response.headers["content-security-policy"]
    assert_includes policy, "script-src 'self'"
    refute_includes policy, "unsafe"
    refute_match(/ style="| on[a-z]+="|<script>(?!<)/, last_response.body)
  end

  def test_text_from_people_never_becomes_markup
    nasty = %q(<img src=x onerror="alert(1)">'"&)
    act(
      "statements",
      statements: "server #{Basalt::Statements::Quoting.quote(nasty)}\nnote on #{Basalt::Statements::Quoting.quote(nasty)}: #{nasty}"
    )
    assert_equal 200, last_response.status, last_response.body
    [
      @path,
      "#{@path}/reading",
      "/projects/#{@project.id}/search?q=img",
      "#{@path}/export.svg",
      "#{@path}/facts/#{model_of(@project).named(nasty).first.id}"
    ].each do |path|
      get path
      assert_equal 200, last_response.status
      refute_includes last_response.body, "<img src=x", path
      assert_includes last_response.body, "&lt;img", path
    end
  end

  def test_svg_stands_alone_and_png_is_of_the_same_layout
    get "#{@path}/export.svg"
    svg = Nokogiri.XML(last_response.body, &:strict)
    assert_equal PLANT, svg.at_css("title").text
    assert_includes svg.at_css("desc").text, "historian is on Plant at 10.20.4.20"
    assert_includes svg.css("text").map(&:text), "scada-01"
    assert_includes svg.at_css("style").text, "data:font/ttf;base64"
    assert_empty svg.css("script, image, foreignObject")
    get "#{@path}/export.png"
    image = Vips::Image.new_from_buffer(last_response.body, "")
    assert_in_delta svg.root["width"].to_f / svg.root["height"].to_f, image.width.to_f / image.height, 0.01
    assert_in_delta svg.root["width"].to_f * 2, image.width, 2
  end

  def test_the_drawing_on_the_page_is_the_drawing_in_the_file
    get @path
    page = Nokogiri.HTML5(last_response.body).css("#drawing text").map { |t| [t.text, t["x"], t["y"]] }
    get "#{@path}/export.svg"
    assert_equal Nokogiri.XML(last_response.body).css("text").map { |t| [t.text, t["x"], t["y"]] }, page
  end

  def test_files_that_are_no_inventory_are_refused
    {
      "empty.csv" => "",
      "binary.csv" => "\x89PNG\r\n\0\0\0",
      "heads.csv" => "name,role\n",
      "broken.csv" => "name\n\"a",
      "large.csv" => "x" * 10_000_001
    }.each do |name, content|
      file = Rack::Test::UploadedFile.new(StringIO.new(content), "text/csv", original_filename: name)
      post "/projects/#{@project.id}/intakes", { file:, token: }
      assert_equal 422, last_response.status, name
      refute_match(/\.rb:\d+/, last_response.body)
    end
    post "/projects/#{@project.id}/intakes", { token: }
    refused(/Choose a file/)
    assert_equal 0, Store::Intake.count
  end

  def test_an_intake_can_be_stopped_and_keeps_nothing
    content = File.read(File.join(APPLICATION_ROOT, "demo/things.csv"))
    table = Basalt::Formats::CSV.new(content)
    intake =
      Store::Intake.create!(
        id: SecureRandom.uuid,
        project_id: @project.id,
        content:,
        file_name: "things.csv",
        mapping: Basalt::Network::Inventory::Subjects::THINGS.guess(table.headings)
      )
    before = rows(model_of(@project))
    task =
      Store::Task.create!(
        id: SecureRandom.uuid,
        project_id: @project.id,
        kind: "inventory",
        said_by: "test",
        cancelled: true,
        arguments: {
          intake_id: intake.id,
          sheet_name: "Stopped"
        }
      )
    task.work
    assert_equal "cancelled", task.reload.state
    assert_equal before, rows(model_of(@project))
  end

  def test_a_database_that_is_gone_is_said_plainly
    Store::ProjectSession.clear
    ActiveRecord::Base.connection_pool.disconnect!
    broken = ->(*) { raise ActiveRecord::ConnectionNotEstablished, "gone" }
    Store::Snapshot.stub(:read, broken) { get @path }
    refused(/database cannot be reached/, 503)
  end

  def test_whoever_looks_waits_for_a_database_that_comes_back_and_whoever_acts_is_told
    { "GET" => 200, "POST" => 503 }.each do |verb, expected|
      answers = [503, 200]
      guard = Web::RequestGuard.new(->(_) { [answers.shift, {}, []] }, "")
      assert_equal expected, guard.call(Rack::MockRequest.env_for("/projects", method: verb)).first, verb
    end
  end
end
