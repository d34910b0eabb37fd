# frozen_string_literal: true

require_relative "../support/browser_helper"

# Racks linked with their elevations by name, followed down and up again; a plan drawn over an image; what is in the way shown.
class LinkingBrowserTest < Minitest::Test
  include BrowserHelper

  TEXT = <<~TEXT
    project P
    site Greyholm
    room Hall in Greyholm, measures 6/4
    sheet Overview: rack
    rack R1 in Hall, 12U
    rack R2 in Hall, 12U
    server a in R1 at U5, 1U
    server b in R1 at U9, 1U
    sheet R1 elevation: rack
    rack R1
    sheet r-02 Elevation: rack
    rack R2
    sheet Places: site map
    site Greyholm
    Greyholm opens into Overview
    sheet Plan: floor plan, about Hall
  TEXT

  def named(name) = find("#layer-things > g[data-name='#{name}']")
  def opened(name) = model_of(@project).then { |set| set.openings(set.named(name).first.id).map { |one| one.sheet.name } }

  def test_racks_are_linked_by_name_and_followed_down_and_up
    @project = project(TEXT)
    open_sheet(@project, "Places")
    latency(0.3)
    named("Greyholm").click
    page.send_keys("]")
    assert_css ".where strong", text: "Overview"
    click_link "Link what stands here by name"
    select "rack", from: "which are"
    fill_in "leaving out the words", with: "elevation"
    assert_css "#preview h2", text: "Matched 2"
    assert_accessible "linking by name"
    click_button "Link them"
    assert_css "#preview h2", text: "Matched 0"
    assert_equal [["R1 elevation"], ["r-02 Elevation"]], [opened("R1"), opened("R2")]
    open_sheet(@project, "Overview")
    named("R2").find("text", text: "R2", match: :first).click
    assert_css "#openings a[data-down]", text: "r-02 Elevation"
    page.send_keys("+", "+", "]")
    assert_css ".where strong", text: "r-02 Elevation"
    assert_css "#way a", text: "Overview"
    page.send_keys("[")
    assert_css ".where strong", text: "Overview"
    assert_css "#facts h2", text: "R2 rack"
    page.send_keys("f")
    named("R1").find("text", text: "R1", match: :first).click
    assert_css "#facts h2", text: "R1 rack"
    named("R1").find(".p-opens").click
    assert_css ".where strong", text: "R1 elevation"
    assert_accessible "a sheet with a way down to it"
  end

  def test_a_plan_lies_over_an_image_to_scale_and_things_stand_where_they_are_dropped
    @project = project(TEXT)
    open_sheet(@project, "Plan")
    latency(0.3)
    find("#sheet-more summary").click
    attach_file "image", File.join(APPLICATION_ROOT, "demo/comms-room.svg")
    click_button "Put it there"
    find("#layer-boundaries image", visible: :all)
    find("#layer-boundaries g[data-name='comms-room']").click
    click_button "Point at two places of it"
    picture = find("#layer-boundaries g[data-name='comms-room']")
    at = place(picture)
    point = ->(x, y) { page.driver.browser.action.move_to_location(at["x"] + x, at["y"] + y).click.perform }
    point.(10, 20)
    point.(at["w"] - 10, 20)
    type "9\n"
    settled
    set = model_of(@project)
    box = set.placement(sheet_of(@project, "Plan").id, set.named("comms-room").first.id)
    assert_in_delta 9 * 60 * at["w"] / (at["w"] - 20), box.w, 30
    find("#statement").click
    type "R1 stands at 1/1\nrack R3, 42U, stands at 3/1, turned 90\ntray T1, along 0.5/0.5 5/0.5\n\e\e"
    settled
    scale = page.evaluate_script("document.getElementById('drawing').getScreenCTM().a")
    drag(named("R1"), *Array.new(2, (scale * 60).round))
    settled
    set = model_of(@project)
    assert_equal ["2/2", "3/1", "90"], [set.named("R1").first["position"], *%w[position turned].map { |fact| set.named("R3").first[fact] }]
    assert_equal "0.5/0.5 5/0.5", set.named("T1").first["along"]
    assert_accessible "a plan of a floor"
  end

  def test_what_is_in_the_way_is_shown_and_goes_where_it_was_shown_to_go
    @project = project(TEXT)
    open_sheet(@project, "Overview")
    a, b = %w[a b].map { |name| place(named(name)) }
    pointer = page.driver.browser.action
    pointer.move_to(named("b").native).click_and_hold.move_by(0, 4).move_by(0, a["y"] - b["y"]).perform
    assert_css ".in-way-up[data-name='a']"
    assert_css "#spoken", text: "a would go up", visible: :all
    pointer.release.perform
    settled
    set = model_of(@project)
    assert_equal([6, 5], %w[a b].map { |name| set.named(name).first["at unit"] })
    assert_no_css ".in-way"
    # Pulled down by its corner, it reaches two units further.
    named("b").click
    row = page.evaluate_script("document.getElementById('drawing').getScreenCTM().a") * 20
    drag(find("#handles .corner"), 0, (row * 2).round)
    settled
    assert_equal([3, 3], %w[at\ unit height].map { |fact| model_of(@project).named("b").first[fact] })
  end

  EVERY = ENV["TRIAL"] ? 0.11 : 0.02

  # @return [String] of a file of rows
  def csv(name, rows) = File.join(DOWNLOADS, name).tap { |path| File.write(path, rows.map { |row| row.join(",") }.join("\n")) }

  def bring(path, sheet)
    visit "/projects/#{@project.id}"
    attach_file "CSV file of things", path
    click_button "Look at it"
    fill_in "show on sheet", with: sheet
    click_button(text: /Take \d+ rows in/)
    assert_text(/\d+ rows taken/)
  end

  def test_somebody_new_has_forty_racks_linked_to_their_elevations_and_rearranges_one
    @project = project("project P")
    latency(0.06)
    began = Time.now
    bring(csv("racks.csv", [%w[Rack Room Height], *(1..40).map { |n| ["R#{n}", "Greyholm / Hall", 24] }]), "Hall overview")
    things = (1..40).to_a.product((1..3).to_a).map { |rack, n| ["s-#{rack}-#{n}", "server", "R#{rack}", n * 4, 2] }
    bring(csv("things.csv", [%w[Device Type Rack U Height], *things]), "Hall overview")
    visit "/projects/#{@project.id}"
    click_link "Link by name"
    select "rack", from: "which are"
    assert_css "#preview h2", text: "Things without a sheet 40"
    click_button "Make the sheets that are ticked"
    assert_css "#preview h2", text: "Things without a sheet 0"
    open_sheet(@project, "Hall overview")
    assert_css ".p-opens", count: 41, visible: :all
    find_field("Filter the table").click
    type "R17", every: EVERY
    find("#table td", text: /\AR17\z/).click
    assert_css "#openings a[data-down]", text: "R17 elevation"
    page.send_keys(:escape, "]")
    assert_css ".where strong", text: "R17 elevation"
    drag(named("s-17-3"), 0, place(named("s-17-1"))["y"] - place(named("s-17-3"))["y"] + 4)
    settled
    type "/s-17-2 in R17 at U20, 4U\n", every: EVERY
    settled
    puts format("%s: %.0f s", name, Time.now - began) if ENV["TRIAL"]
    set = model_of(@project)
    units = ->(one) { set.named(one).first["at unit"] }
    assert_equal [4, 20], [units.("s-17-3"), units.("s-17-2")]
    assert_equal(40, set.of_kind("place").count { |place|
      set.openings(place.id).any? { |one|
        one.sheet.name == "#{place.name} elevation"
      }
    })
    assert_empty Basalt::Checks::Runner.new(set).findings.map(&:message)
  end
end
