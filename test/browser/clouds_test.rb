# frozen_string_literal: true

require_relative "../support/browser_helper"
require_relative "../support/standing_in"

# Clouds as people work on them: an account that is read while its provider is busy, things placed by hand, and why there is a line.
class CloudsBrowserTest < Minitest::Test
  include BrowserHelper
  include StandingIn

  SECRET = "only for this test"

  def read_account(url)
    visit "/projects/#{@project.id}"
    fill_in "Endpoint", with: url
    fill_in "Key", with: Standins::Cloud::Server::KEY
    fill_in "Secret", with: SECRET
    click_button "Read the account"
  end

  def test_an_account_is_read_placed_by_hand_and_asked
    @project = project("project P\nsheet Mine: cloud")
    standing_in(secret: SECRET, broken_after: 6, page: 9) do |url|
      read_account(url)
      assert_text "something that is no JSON"
    end
    standing_in(secret: SECRET, throttle: 4, failing: 6, page: 9) do |url|
      read_account(url)
      click_link "See what came, before anything is taken"
    end
    assert_text "0 gone and 0 altered"
    uncheck "Show all of it on a new sheet, laid out"
    click_button "Take it in"
    assert_text "It is one act"
    place_by_hand
    ask
    assert_accessible "a cloud"
  end

  # One is dragged to its place, another comes with what it is joined to.
  def place_by_hand
    open_sheet(@project, "Mine")
    latency(0.06)
    click_button "Not placed here"
    fill_in "Look among what is not placed here", with: "sys0 work0"
    assert_no_css "[data-stand]", text: "sys1"
    name = find("[data-stand] strong", text: "sys0 work0")
    drag = page.driver.browser.action.move_to(name.native).click_and_hold
    drag.move_to_location(300, 280).move_to_location(320, 300).release.perform
    assert_css "#layer-things > g", text: "sys0 work0"
    assert_no_css "[data-stand]", text: "sys0 work0"
    fill_in "Look among what is not placed here", with: "sys0 front0"
    click_button "Place sys0 front0 with what it is joined to"
    assert_css "#layer-things > g", text: "sys0 web0-0"
    assert_css "#layer-lines > g", minimum: 4, visible: :all
  end

  def ask
    find("#layer-things > g text", text: "sys0 front0").click
    fill_in "whom", with: "sys0 web0-0"
    select "reach", from: "which way", exact: true
    fill_in "port", with: "8080"
    click_button "Ask"
    assert_css "#reach-answer", text: "sys0 front0 can reach sys0 web0-0 by tcp 8080."
    assert_css "#reach-answer", text: "sys0 app0 allows in tcp 8080 from sys0 edge0"
    click_button "What may reach it, and what it may reach"
    assert_css "#reach-list", text: "internet tcp 443 by a wide rule"
    within("#reach-list") { click_button "Draw that internet reaches it" }
    assert_css "#layer-things > g", text: "internet"
    line = model_of(@project).of_kind("connection").find { |one| one["taken"] }
    assert_equal "443", line["ports"]
  end

  # Typed without a pause: what runs where, who speaks to whom, and a queue that is found by another word.
  def test_a_cloud_is_typed
    @project = project("project P\nsheet Mine: cloud")
    open_sheet(@project, "Mine")
    latency(0.06)
    lines = ["network net 10.70.0.0/16", "subnet app 10.70.1.0/24 in net, zone two", "machine web in app at 10.70.1.5", "queue jobs",
             "web publishes to jobs", "group webs", "web belongs to webs", "webs allows in tcp 22 from 10.20.0.0/16",
             "webs allows out everything to anywhere"]
    page.send_keys("/")
    type "#{lines.join("\n")}\nmailb", every: 0.03
    assert_css "#completion [role=option]", text: "queue"
    said = Basalt::Statements::Unparser.new(model_of(@project)).sheet(sheet_of(@project, "Mine").id)
    assert_equal lines.sort, said.sort
  end
end
