# frozen_string_literal: true

require_relative "../support/browser_helper"

# From a pasted narrative to a context and one level below; marking, a new version, coverage.
class BriefTest < Minitest::Test
  include BrowserHelper

  NARRATIVE =
    "A resident asks for a meter to be moved.\n\nThe clerk registers the request in the request book and checks the address.\n" \
    "The fitter moves the meter and reports back.\nThe clerk tells the resident what it costs."

  def set = model_of(@project)

  # Selects words in the text as a person would with the mouse.
  def select_words(words)
    assert_css "#source-text-body p", text: words
    page.execute_script(<<~JS, words)
      const line = [...document.querySelectorAll("#source-text-body p")].find(p => p.textContent.includes(arguments[0]));
      const nodes = document.createTreeWalker(line, NodeFilter.SHOW_TEXT); let node; const range = document.createRange();
      while ((node = nodes.nextNode())) { const at = node.data.indexOf(arguments[0]); if (at >= 0) { range.setStart(node, at); range.setEnd(node, at + arguments[0].length); break; } }
      const chosen = getSelection(); chosen.removeAllRanges(); chosen.addRange(range);
    JS
    assert_field "Phrase", with: words
  end

  def mark(words, noun, name: nil)
    select_words(words)
    select noun, from: "It is"
    assert_field "Name", with: /./
    fill_in "Name", with: name if name
    click_button "Mark it"
    assert_css "mark", text: words
  end

  def test_from_a_pasted_narrative_to_a_context_and_one_level_below
    @project = project("project Tarnwater")
    visit "/projects/#{@project.id}/sources"
    fill_in "Title", with: "Moving a meter"
    fill_in "Text", with: NARRATIVE
    click_button "Take it in"
    mark "A resident", "an outsider"
    mark "The clerk", "a role"
    mark "The fitter", "an outsider"
    assert_css ".source-share", text: /\d+ %/
    assert_accessible "a source"

    visit "/projects/#{@project.id}"
    fill_in "Title", with: "Moving a meter"
    select "activities", from: "Notation"
    within(first(".openers form")) { click_button "Open it" }
    [
      "Resident asks for a move, giving request to Clerk",
      "Clerk registers the request, processing",
      "Clerk sends a fitter, processing, giving \"fitting order\" to Fitter",
      "Fitter moves the meter, giving \"fitting report\" to Clerk",
      "Clerk works out the price, processing, giving bill to Resident"
    ].each { |line| say line }
    assert_css "#tabs [data-kind=activity]", text: "5"
    assert_accessible "an activity table"

    click_link "Who is outside, and the context"
    click_button "That is it"
    assert_css "tr", text: /Clerk.*inside/
    assert_css "tr", text: /Fitter.*outside/
    click_button "Take what is ticked"
    assert_css "#layer-lines > g", count: 4, visible: :all
    assert_css ".where", text: "Moving a meter in context"
    assert_accessible "a context"

    find("#layer-things > .k-process").click
    click_button "Open it into a level"
    assert_css ".where", text: "Moving a meter: what is done"
    [
      "process Register request",
      "process Order fitting",
      "process Bill move",
      "store Request book",
      "Resident gives request to Register request",
      "Register request gives new request to Request book",
      "Request book gives open requests to Order fitting",
      "Order fitting gives fitting order to Fitter",
      "Fitter gives fitting report to Bill move"
    ].each { |line| say line }
    settled
    assert_css "#findings .finding-title", text: "carry different flows"
    find("#findings .finding", text: "carry different flows").click_button("Add what lacks")
    assert_no_css "#findings .finding-title", text: "carry different flows"
    assert_includes set.of_kind("flow").map { |flow| [flow.name, set.element(flow.target("from")).name] }, ["bill", "Bill move"]
    assert_equal "1.0", Basalt::Process::Levels.number(set, set.named("Register request").first)
    assert_accessible "a level of data flow"
  end

  def test_marking_a_new_version_and_coverage
    @project =
      project(
        "project Tarnwater\nsheet Request desk: entities\nentity Request\nRequest has number key\nsheet Asked for: requirements\n" \
        "requirement R1: A resident is told the price before the meter is moved."
      )
    visit "/projects/#{@project.id}/sources"
    fill_in "Title", with: "Moving a meter"
    fill_in "Text", with: NARRATIVE
    click_button "Take it in"
    mark "the address", "an entity", name: "Address"
    select_words "what it costs"
    fill_in "or is about", with: "R1"
    click_button "Mark it"
    assert_css "mark[title*=R1]"

    fill_in "version-text", with: NARRATIVE.sub("checks the address", "checks where the meter is").sub("what it costs", "what it costs")
    click_button "Compare and keep it"
    assert_css "h2", text: "Changed since they were marked 1"
    assert_css ".phrases .was", text: "checks where the meter is"
    open_sheet(@project, "Request desk")
    say "Request meets R1"
    say "entity Address"
    assert_css "#findings .finding-title", text: "speaks of Address otherwise now"
    visit "/projects/#{@project.id}/coverage"
    assert_text "100 % of 1 requirement are met."
    assert_css "li", text: "Address"
    assert_accessible "the coverage"
  end

  def test_a_source_beside_a_sheet_where_what_is_marked_stands_at_once
    @project = project("project Tarnwater\nsource Told\nsheet Who: context\noutsider Resident")
    source = set.named("Told").first
    Store::SourceText.keep(@project.id, source.id, 1, NARRATIVE, "test")
    open_sheet(@project, "Who")
    find(".exports > summary", text: "Beside").click
    click_button "Told"
    assert_css "#beside #source-text-body", text: "asks for a meter"
    select_words "The fitter"
    select "an outsider", from: "It is"
    assert_field "Name", with: "Fitter"
    click_button "Mark it"
    assert_css "#layer-things > g", text: "Fitter"
    find("#beside mark", text: "The fitter").click
    assert_css "#layer-things > g.chosen", text: "Fitter"
    assert_css "#drawing g.no-counterpart", text: "Resident"
  end

  def test_a_requirement_dragged_onto_a_thing_is_met_by_it
    @project =
      project(
        "project Tarnwater\nsheet Desk: entities\nentity Request\nsheet Asked for: requirements\nrequirement R1: A request is kept."
      )
    open_sheet(@project, "Desk")
    find(".exports > summary", text: "Beside").click
    click_button "Asked for"
    card = find("#beside .k-requirement")
    page.driver.browser.action.move_to(card.native).click_and_hold.move_to(thing("Request").native).release.perform
    thing("Request").click
    assert_css "#facts li", text: "R1 A request is kept."
  end

  # The drawn table: what is dropped elsewhere is elsewhere in the model.
  def test_lanes_and_rows_are_dropped_where_they_belong
    @project =
      project(
        "project Tarnwater\nsheet Table: activities\noutsider Resident\nrole Clerk\nrole Engineer\n" \
        "Resident asks, giving request to Clerk\nClerk notes it, processing\nEngineer mends it\nClerk files it"
      )
    open_sheet(@project, "Table")
    latency(0.06)
    drag(thing("Resident").find("text", text: "Resident"), 700, 0)
    assert_equal %w[Clerk Engineer Resident], settled_lanes
    row = find("[data-part]", text: "files it")
    row.click
    over = find("[data-part]", text: "mends it").native
    page.driver.browser.action.click_and_hold(row.native).move_to(over, 0, -6).release.perform
    settled
    rows = Basalt::Process::Acts.sorted(set.of_kind("activity"))
    assert_equal ["asks", "notes it", "files it", "mends it"], rows.map(&:name)
    assert_equal "Engineer", set.element(rows[2].target("who")).name
    find("[data-part]", text: "notes it").double_click
    type "writes it down\n"
    settled
    assert_equal "writes it down", set.element(rows[1].id).name
    find("#viewport").send_keys([:control, "z"])
    find("#viewport").send_keys([:control, "z"])
    assert_selector "[data-part]", text: "notes it"
    settled
    assert_equal ["asks", "notes it", "mends it", "files it"], Basalt::Process::Acts.sorted(set.of_kind("activity")).map(&:name)
  end

  def settled_lanes
    settled
    set.of_kind("party").sort_by { |one| Basalt::Change::Reorder.key(one) }.map(&:name)
  end

  def test_rows_of_the_table_are_filled_in_moved_and_grouped
    @project =
      project(
        "project Tarnwater\nprocess Move\nprocess Take request in Move\nsheet Table: activities, about Move\noutsider Resident\nrole " \
        "Clerk\n" \
        "Resident asks, giving request to Clerk\nClerk notes it, processing"
      )
    open_sheet(@project, "Table")
    fresh = find("#table tr.new td[data-key='end who']")
    fresh.click
    fresh.send_keys("Clerk", :tab)
    page.active_element.send_keys("files it", :enter)
    assert_css "#layer-things > g", text: "files it"
    row = find("#table tr", text: "files it").find("td[data-key=name]")
    row.click
    page.active_element.send_keys(%i[alt up])
    assert_css "#table tr:nth-child(2) td[data-key=name]", text: "files it"
    cell = find("#table tr", text: "files it").find("td[data-key=container]")
    cell.click
    cell.send_keys("Take request", :enter)
    assert_css "#table tr", text: /files it.*Take request/
    assert_equal "Take request", set.element(set.named("files it").first.container_id).name
  end
end
