# frozen_string_literal: true

require_relative "../support/request_helper"

# From the activity table to context and levels through the pages.
class ProcessPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def set = model_of(@project)
  def table = sheet_of(@project, "Leak response table")
  def act(sheet, rest, values = {}) = post("#{base}/sheets/#{sheet.id}/#{rest}", values.merge(token:), "HTTP_HX_REQUEST" => "true")
  def thing(name, kind) = set.named(name).find { |one| one.kind == kind }

  # One that defines what another does would stand in its place on every page.
  def test_no_two_groups_of_helpers_have_a_name_in_common
    modules = Web::Application.ancestors.take_while { |one| one != Sinatra::Base }.select { |one| one.name.to_s.start_with?("Web::") }
    names = modules.flat_map { |one| one.instance_methods(false) + one.private_instance_methods(false) }
    assert_empty names.tally.select { |_, count| count > 1 }.keys
    assert_empty((names & Sinatra::Base.instance_methods) - Web::Application.instance_methods(false))
  end

  def test_a_person_decides_where_somebody_stands_and_leaves_it_to_the_table_again
    crew = thing("Repair crew", "party")
    act(table, "standing/#{crew.id}", standing: "inside", reason: "")
    assert_match "Say why", last_response.body
    act(table, "standing/#{crew.id}", standing: "inside", reason: "it is of this house since May")
    assert_equal ["role", "it is of this house since May"], thing("Repair crew", "party").facts.values_at("standing", "decided")
    assert_match "inside</strong>, decided", get("#{base}/sheets/#{table.id}/framing").body
    act(table, "standing/#{crew.id}", standing: "table")
    refute_match "decided</td>", get("#{base}/sheets/#{table.id}/framing").body
    act(table, "standing/#{thing("Leak response", "process").id}", standing: "inside", reason: "x")
    assert_match "Only somebody who takes part", last_response.body
  end

  def test_rows_are_moved_and_what_has_no_place_is_not
    first, second = Basalt::Process::Acts.sorted(set.of_kind("activity")).first(2)
    act(table, "rows/#{first.id}", by: 1)
    assert_equal [second.id, first.id], Basalt::Process::Acts.sorted(set.of_kind("activity")).first(2).map(&:id)
    act(table, "cells", kind: "activity", cells: JSON.generate([[first.id, "row", "soon"]]))
    assert_match "row is a whole number", CGI.unescapeHTML(last_response.body)
    assert_equal [second.id, first.id], Basalt::Process::Acts.sorted(set.of_kind("activity")).first(2).map(&:id)
    act(table, "rows/#{thing("Leak response", "process").id}", by: 1)
    assert_match "no place among others", last_response.body
    post("#{base}/sheets/#{table.id}/undo", { token: }, "HTTP_HX_REQUEST" => "true")
    assert_equal [first.id, second.id], Basalt::Process::Acts.sorted(set.of_kind("activity")).first(2).map(&:id)
  end

  def test_what_the_table_tells_anew_is_offered_and_what_it_tells_no_more_is_left_unless_ticked
    Store::ProjectSession
      .for(@project.id)
      .open do |desk|
        desk.act(said: "x", by: "t", sheet_id: table.id) do |draft|
          Basalt::Statements::Document.new("Regulator asks, giving inquiry to Duty engineer").into(draft, sheet_id: table.id)
        end
      end
    row = set.of_kind("activity").find { |one| one["gives"] == "closure order" }
    act(table, "facts/#{row.id}", fact: "gives", value: "")
    page = get("#{base}/sheets/#{table.id}/framing").body
    assert_match(/value="add [^"]*inquiry" checked/, page)
    drop = page[/value="(drop [^"]*)">/, 1]
    post(
      "#{base}/sheets/#{table.id}/framing",
      { token:, steps: page.scan(/value="(add [^"]*)" checked/).flatten.map { |key| CGI.unescapeHTML(key) } }
    )
    assert_includes set.of_kind("flow").map(&:name), "inquiry"
    assert_includes set.of_kind("flow").map(&:name), "closure order"
    post("#{base}/sheets/#{table.id}/framing", { token:, steps: [CGI.unescapeHTML(drop)] })
    assert_equal 1,
                 set.of_kind("flow").count { |flow| flow.name == "closure order" },
                 "the level keeps its own, and does not balance any more"
    assert_includes(Store::ProjectSession.for(@project.id).open { |desk| desk.findings.map(&:id) }, "unbalanced")
    post("#{base}/sheets/#{table.id}/framing", { token: })
    assert_match "Choose what is to be taken first", last_response.body
  end

  def test_a_process_opens_once_and_the_notation_is_changed_for_the_whole_project
    level = sheet_of(@project, "Leak response: what is done")
    process = thing("Assess leak", "process")
    post("#{base}/flow-notation", { token:, variant: "boxes", back: level.id })
    act(level, "opened/#{process.id}")
    made = last_response.headers["HX-Redirect"][%r{[^/]+\z}]
    assert_equal(["2.0 Assess leak", "boxes", "analyst"], set.sheets[made].then { |sheet| [sheet.name, sheet.variant, sheet.drawn_by] })
    assert_equal(["Order repair", "Register report", "Road authority"], set.things_on(made).map(&:name).sort)
    act(level, "opened/#{process.id}")
    assert_equal made, last_response.headers["HX-Redirect"][%r{[^/]+\z}]
    assert_equal ["boxes"], set.sheet_list.select { |sheet| ["context", "data flow"].include?(sheet.notation_name) }.map(&:variant).uniq
    act(level, "opened/#{thing("Job book", "store").id}")
    assert_match "Only a process opens", last_response.body
  end

  # What comes to a sheet or goes from it is looked at again, though nothing of it was altered.
  def test_findings_follow_what_stands_where
    context = sheet_of(@project, "Leak response in context")
    ids = -> { Store::ProjectSession.for(@project.id).open { |desk| desk.findings.map(&:id) } }
    refute_includes ids.call, "store-on-context"
    act(context, "statements", statements: "store Job book")
    assert_includes ids.call, "store-on-context"
    act(context, "taken-off", chosen: thing("Job book", "store").id)
    refute_includes ids.call, "store-on-context"
    map = sheet_of(@project, "Supply map in context")
    act(map, "statements", statements: "system Odd one")
    assert_includes(
      Store::ProjectSession.for(@project.id).open { |desk| desk.findings.select { |one| one.id == "outside-the-brief" }.map(&:message) },
      "Odd one is outside the brief"
    )
  end

  def test_a_sheet_is_moved_to_another_level_and_only_to_one_there_is
    level = sheet_of(@project, "Leak response: what is done")
    act(level, "title", band: "Physical")
    assert_equal "Physical", set.sheets[level.id].band
    act(level, "title", band: "Cellar")
    assert_match "one of the levels", last_response.body
  end

  # A store at both sides of a sheet: shown, joined with the pointer, moved, taken off; each place by itself.
  def test_what_stands_once_more_is_joined_moved_and_taken_off_by_itself
    sheet = sheet_of(@project, "Leak response: what is done")
    store = thing("Job book", "store")
    act(sheet, "shown-again", chosen: store.id, id: key = SecureRandom.uuid)
    first = set.placement(sheet.id, store.id)
    assert_includes last_response.body, "data-of=\"#{store.id}\""
    act(sheet, "moves", moves: JSON.generate([[key, 0, 300]]))
    assert_equal first, set.placement(sheet.id, store.id)
    line = set.relations_of(store.id).first
    at = line.ends.index { |one| one.target_id == store.id }
    act(sheet, "rejoined/#{line.id}", end: at, to: key)
    assert_equal({ line.ends[at].role => key }, set.placement(sheet.id, line.id).attached)
    assert_equal line.ends, set.element(line.id).ends
    act(sheet, "connected", from: thing("Assess leak", "process").id, to: key, join: "flow", id: flow = SecureRandom.uuid)
    assert_equal [key], set.placement(sheet.id, flow).attached.values
    act(sheet, "facts/#{key}", fact: "holds", value: "jobs", selected: key)
    assert_equal "jobs", thing("Job book", "store")["holds"]
    act(sheet, "taken-off", chosen: key)
    assert_nil set.placement(sheet.id, key)
    assert_empty set.placement(sheet.id, line.id).attached
    act(sheet, "shown-again", chosen: thing("Assess leak", "process").id)
    assert_match "a process stands once on a sheet like this", last_response.body
  end
end
