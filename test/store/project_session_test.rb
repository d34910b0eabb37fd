# frozen_string_literal: true

require_relative "../support/app_helper"
require "minitest/mock"

# Keeping: what is committed is what was meant, nothing is lost in silence, everything can be undone.
class ProjectSessionTest < Minitest::Test
  include AppHelper

  TEXT =
    "project T\nsheet S: logical network\nrouter gw\nsubnet N 10.0.0.0/24\ngw on N at .1, gateway\nserver a\na on N at .2\nsheet E: " \
    "entities\nentity Crew\nCrew has code key\na Crew leads Crew"

  def act(project, said = "did", &change)
    Store::ProjectSession.for(project.id).open { |project_session| project_session.act(said:, by: "test", sheet_id: project_session.set.sheet_list.first.id, &change) }
  end

  def say(project, *lines)
    act(project, lines.join("; ")) do |draft|
      Basalt::Statements::Document.new(lines.join("\n")).into(draft, sheet_id: draft.sheet_list.first.id)
    end
  end

  def test_what_is_read_back_is_what_the_desk_holds
    project = project(TEXT)
    say(
      project,
      "server b in Room",
      "room Room",
      "b on N at .3, interface eth1",
      "note on b: says \"so\"",
      "b is assumed",
      "rename a to c",
      "remove gw"
    )
    held = Store::ProjectSession.for(project.id).open(&:set)
    assert_equal rows(model_of(project)), rows(held)
    assert_equal "T", model_of(project).project
  end

  def test_every_act_is_undone_and_done_again_over_the_journal
    project = project(TEXT)
    states = [rows(model_of(project))]
    acts = [
      ["server b", "b on N at .9"],
      ["rename b to c"],
      ["c is assumed"],
      ["note on c: x"],
      ["take c off"],
      ["server c"],
      ["remove N"],
      ["subnet M 10.1.0.0/24, vlan 4"]
    ]
    acts.each { |lines| say(project, *lines).then { states << rows(model_of(project)) } }
    sheet = sheet_of(project, "S").id
    acts
      .length
      .downto(1) do |n|
        Store::ProjectSession.clear
        Store::ProjectSession.for(project.id).open { |project_session| project_session.undo(by: "test", sheet_id: sheet) }
        assert_equal states[n - 1], rows(model_of(project)), "undo of #{acts[n - 1]}"
      end
    (1..acts.length).each do |n|
      Store::ProjectSession.for(project.id).open { |project_session| project_session.redo(by: "test", sheet_id: sheet) }
      assert_equal states[n], rows(model_of(project)), "redo of #{acts[n - 1]}"
    end
    assert_nil(Store::ProjectSession.for(project.id).open { |project_session| project_session.redo(by: "test", sheet_id: sheet) })
  end

  def test_a_new_act_ends_what_could_be_done_again
    project = project(TEXT)
    sheet = sheet_of(project, "S").id
    say(project, "server b")
    Store::ProjectSession.for(project.id).open { |project_session| project_session.undo(by: "test", sheet_id: sheet) }
    say(project, "server c")
    assert_nil(Store::ProjectSession.for(project.id).open { |project_session| project_session.redo(by: "test", sheet_id: sheet) })
  end

  def test_a_refused_act_leaves_nothing_and_the_desk_goes_on
    project = project(TEXT)
    before = rows(model_of(project))
    assert_raises(Basalt::Mistake) { say(project, "server b", "b on Nowhere") }
    assert_equal before, rows(model_of(project))
    say(project, "server b", "b on N at .7")
    assert_equal rows(model_of(project)), rows(Store::ProjectSession.for(project.id).open(&:set))
  end

  # Two processes, each with a working set of its own, made from the same version.
  def two_writers(project, first, second)
    set = model_of(project)
    drafts = [first, second].map { |change| Basalt::Change::Draft.new(set).apply(change.call(set)).effect }
    drafts.map do |effect|
      Store::Repository.new(project.id, said_by: "test").commit(effect, said: "did")
    rescue Basalt::Change::Conflict => e
      e
    end
  end

  def change(name, fact, value) = ->(set) { Basalt::Change::Set.new(id: set.named(name).first.id, fact:, value:) }

  def test_two_writers_of_different_facts_both_count
    project = project(TEXT)
    assert(two_writers(project, change("a", "note", "one"), change("a", "planned", true)).all?(Integer))
    assert_equal({ "role" => "server", "note" => "one", "planned" => true }, model_of(project).named("a").first.facts)
  end

  def test_two_writers_of_one_fact_conflict_and_the_first_stays
    project = project(TEXT)
    [%w[note one two], %w[name b c]].each do |fact, one, two|
      first, second = two_writers(project, change("a", fact, one), change("a", fact, two))
      assert_kind_of Integer, first
      assert_kind_of Basalt::Change::Conflict, second
    end
    assert_equal "one", model_of(project).named("b").first["note"]
  end

  def test_real_connections_number_acts_without_gaps
    project = project(TEXT)
    threads =
      Array.new(4) do |n|
        Thread.new do
          5.times do |m|
            set = model_of(project)
            effect =
              Basalt::Change::Draft
                .new(set)
                .apply(Basalt::Change::Add.new(kind: "device", name: "t#{n}-#{m}", facts: { "role" => "server" }))
                .effect
            Store::Repository.new(project.id, said_by: "t#{n}").commit(effect, said: "added")
          end
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
    threads.each(&:join)
    numbers = Store::JournalEntry.where(project_id: project.id).order(:number).pluck(:number)
    assert_equal (1..numbers.length).to_a, numbers
    assert_equal(20, model_of(project).of_kind("device").count { |d| d.name.start_with?("t") })
  end

  # Two processes at once: whatever one does is meant for what the other left.
  def test_two_desks_at_once_lose_nothing_and_give_no_place_twice
    project = project(TEXT)
    sheet = sheet_of(project, "S").id
    a = model_of(project).named("a").first.id
    line = model_of(project).relations_of(a).first.id
    threads =
      Array.new(2) do |n|
        Thread.new do
          project_session = Store::ProjectSession.new(project.id)
          8.times do |m|
            project_session.open do |open|
              open.act(said: "added", by: "t#{n}", sheet_id: sheet) do |draft|
                Basalt::Statements::Document.new("server d#{n}-#{m}\nd#{n}-#{m} on N").into(draft, sheet_id: sheet)
              end
            end
          end
          change =
            (
              if n.zero?
                Basalt::Change::Emphasise.new(sheet_id: sheet, element_id: a, name: "phase 2")
              else
                Basalt::Change::HideLabel.new(sheet_id: sheet, element_id: line, on: true)
              end
            )
          project_session.open { |open| open.act(said: "marked", by: "t#{n}", sheet_id: sheet) { |draft| draft.apply(change) } }
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
    threads.each(&:join)
    set = model_of(project)
    assert_equal(16, set.of_kind("device").count { |device| device.name.start_with?("d") })
    assert_equal ["phase 2", true], [set.placement(sheet, a).shape["emphasis"], set.placement(sheet, line).shape["labels_hidden"]]
    %i[elements placements].each { |table| assert_equal set.table(table).size, set.table(table).each.map(&:ordinal).uniq.length }
    assert_equal rows(set), rows(Store::ProjectSession.for(project.id).open(&:set))
  end

  # Facts of one placement that two people altered from the same version are both kept; the same one is not.
  def test_the_shape_of_a_placement_is_compared_fact_by_fact
    project = project(TEXT)
    sheet = sheet_of(project, "S").id
    shape = ->(name, change) do
      ->(set) do
        change.new(
          sheet_id: sheet,
          element_id: set.named(name).first.id,
          **(change == Basalt::Change::HideLabel ? { on: true } : { name: "new" })
        )
      end
    end
    assert(two_writers(project, shape.call("a", Basalt::Change::Emphasise), shape.call("a", Basalt::Change::HideLabel)).all?(Integer))
    first, second =
      two_writers(
        project,
        ->(set) { Basalt::Change::Emphasise.new(sheet_id: sheet, element_id: set.named("a").first.id, name: "one") },
        ->(set) { Basalt::Change::Emphasise.new(sheet_id: sheet, element_id: set.named("a").first.id, name: "two") }
      )
    assert_equal [true, true], [first.is_a?(Integer), second.is_a?(Basalt::Change::Conflict)]
    assert_equal(
      { "emphasis" => "one", "labels_hidden" => true },
      model_of(project).placement(sheet, model_of(project).named("a").first.id).shape
    )
  end

  def test_an_undo_that_is_not_kept_leaves_the_drawing_as_it_is
    project = project(TEXT)
    sheet = sheet_of(project, "S").id
    say(project, "server b", "b on N at .5")
    Store::ProjectSession
      .for(project.id)
      .open do |project_session|
        Store::Writer.stub(:new, ->(_) { raise ActiveRecord::RecordNotUnique, "no" }) do
          assert_raises(Basalt::Change::Conflict) { project_session.undo(by: "test", sheet_id: sheet) }
        end
      end
    say(project, "server c", "c on N at .6")
    assert_equal rows(model_of(project)), rows(Store::ProjectSession.for(project.id).open(&:set))
    boxes = model_of(project).of_kind("device").map { |device| model_of(project).placement(sheet, device.id).box }
    boxes.combination(2) { |one, other| refute one.overlap?(other) }
  end

  def test_the_same_act_asked_for_again_is_done_once
    project = project(TEXT)
    sheet = sheet_of(project, "S").id
    request = -> { Store::Request.new("6f9619ff-8b86-4d01-b42d-00cf4fc964ff") }
    project_session = Store::ProjectSession.for(project.id)
    project_session.open(request: request.call) do |open|
      open.keep_answer(made: { "new" => "x" })
      open.act(said: "added", by: "t", sheet_id: sheet) do |draft|
        Basalt::Statements::Document.new("server z").into(draft, sheet_id: sheet)
      end
    end
    entry = Store::JournalEntry.asked_for(project.id, request.call.id)
    assert_equal ["added", { "made" => { "new" => "x" } }], [entry.said, entry.answer]
    assert_raises(Basalt::Change::Conflict) do
      project_session.open(request: request.call) do |open|
        open.act(said: "again", by: "t", sheet_id: sheet) do |draft|
          Basalt::Statements::Document.new("server y").into(draft, sheet_id: sheet)
        end
      end
    end
  end

  def test_somebody_elses_change_is_seen_at_the_next_opening
    project = project(TEXT)
    project_session = Store::ProjectSession.for(project.id)
    project_session.open { |open| assert_equal 2, open.set.of_kind("device").length }
    two_writers(project, change("a", "note", "one"), change("gw", "note", "two"))
    project_session.open { |open| assert_equal "one", open.set.named("a").first["note"] }
  end

  def test_findings_contents_and_pieces_keep_in_step
    project = project(TEXT)
    Store::ProjectSession
      .for(project.id)
      .open do |project_session|
        sheet = project_session.set.sheet_list.first
        project_session.findings
        project_session.contents(sheet.id)
        ["server x", "x on N at .2", "rename x to y", "remove a", "y is assumed", "subnet Q 10.3.0.0/24"].each do |line|
          project_session.act(said: line, by: "test", sheet_id: sheet.id) do |draft|
            Basalt::Statements::Document.new(line).into(draft, sheet_id: sheet.id)
          end
          assert_equal Basalt::Checks::Runner.new(project_session.set).findings.map(&:key), project_session.findings.map(&:key), line
          fresh = Basalt::Drawing::SheetStatistics.new(project_session.set, sheet.id)
          assert_equal fresh.counts, project_session.contents(sheet.id).counts, line
          assert_equal fresh.extent, project_session.contents(sheet.id).extent, line
        end
      end
  end

  def test_of_many_sheets_that_were_shown_the_latest_are_ready
    project = project(Array.new(30) { |n| "sheet Sheet #{n}: logical network\nserver s#{n}" }.join("\n"))
    session = Store::ProjectSession.for(project.id)
    sheets = session.open { |view| view.set.sheet_list.map(&:id) }
    usual = Basalt::Drawing::SpatialIndex.method(:new)
    worked_out = []
    Basalt::Drawing::SpatialIndex.stub(:new, ->(set, id) { usual.call(set, id).tap { worked_out << id } }) do
      sheets.each { |id| session.make_ready(id) }
      worked_out.clear
      [sheets.last, sheets.first, sheets.last].each { |id| session.make_ready(id) }
    end
    assert_equal [sheets.first], worked_out
  end

  def test_a_project_is_reached_only_through_its_own_id
    project = project(TEXT)
    other = project("project O\nsheet S: logical network\nserver z", name: "O")
    delta =
      Basalt::Change::Draft
        .new(model_of(project))
        .apply(Basalt::Change::Set.new(id: model_of(project).named("a").first.id, fact: "note", value: "x"))
        .effect
    assert_raises(Basalt::Change::Conflict) { Store::Repository.new(other.id, said_by: "test").commit(delta, said: "x") }
    assert_nil model_of(project).named("a").first["note"]
  end
end
