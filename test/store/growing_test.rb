# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/tidiness"
require_relative "../support/generated_entities"

# A project as it is worked on, act by act: what is held beside the model is what a fresh process would work out,
# nothing comes to lie on anything, and every step can be taken back.
class GrowingTest < Minitest::Test
  include AppHelper
  include Tidiness

  D = Basalt::Drawing
  NETWORK = [
    "subnet Office 10.1.0.0/24",
    "subnet Plant 10.2.0.0/24",
    "router edge-1",
    "switch core-1",
    "edge-1 on Office at .1, gateway",
    "edge-1 on Plant at .1, gateway",
    *(1..6).flat_map { |n| ["workstation desk-#{n}", "desk-#{n} on Office at .#{10 + n}", "controller plc-#{n} on Plant at .#{20 + n}"] },
    "core-1 to edge-1",
    *(1..3).map { |n| "switch acc-#{n} to core-1" },
    "take desk-2 off",
    "remove plc-3",
    "rename core-1 to core-9",
    "server late on Plant"
  ].freeze
  FLOWS = [
    "process Register",
    "process Assess",
    "store Job book",
    "outsider Caller",
    "Caller gives report to Register",
    "Register gives known leak notice to Caller",
    "Register gives job to Job book",
    "Job book gives open jobs to Register",
    "Register gives open report to Assess",
    "Assess gives answer to Caller",
    "Assess gives order to Job book",
    "rename Assess to Assess leak",
    "remove Job book"
  ].freeze
  TABLES = [
    "table crews",
    "table jobs",
    "table skills",
    "table crew_skills",
    "crews has crew_id bigint key, code text required",
    "jobs has job_id bigint key, crew_id bigint required references crews",
    "skills has skill_id bigint key",
    "crew_skills has crew_id bigint key references crews, skill_id bigint key references skills",
    "remove jobs"
  ].freeze

  def project_session = Store::ProjectSession.for(@project.id)

  def begin_on(notation)
    @project = project("project P\nsheet S: #{notation}")
    @sheet_id = model_of(@project).sheet_list.first.id
  end

  def say(line)
    project_session.open do |open|
      open.act(said: line, by: "test", sheet_id: @sheet_id) do |draft|
        Basalt::Statements::Document.new(line).into(draft, sheet_id: @sheet_id)
      end
    end
    assert_in_step(line)
  end

  # What is held is what would be worked out afresh from the rows of the database.
  def assert_in_step(message)
    fresh = model_of(@project)
    project_session.open do |open|
      assert_equal rows(fresh), rows(open.set), message
      told = ->(contents) { [contents.extent, contents.counts, contents.size, contents.waiting] }
      assert_equal told.call(D::SheetStatistics.new(fresh, @sheet_id)), told.call(open.contents(@sheet_id)), message
      assert_equal Basalt::Checks::Runner.new(fresh).findings.map(&:key).sort, open.findings.map(&:key).sort, message
    end
    assert_clear(fresh, message)
  end

  { "logical network" => NETWORK, "data flow" => FLOWS, "tables" => TABLES }.each do |notation, lines|
    define_method(:"test_#{notation.tr(" ", "_")}_typed_line_by_line_and_taken_back") do
      begin_on(notation)
      stood = [rows(model_of(@project))]
      lines.each do |line|
        say(line)
        stood << rows(model_of(@project))
      end
      lines.length.times do |n|
        project_session.open { |open| open.undo(by: "test", sheet_id: @sheet_id) }
        assert_equal stood[-2 - n], rows(model_of(@project)), "undone: #{lines[-1 - n]}"
      end
      lines.each_with_index do |line, n|
        project_session.open { |open| open.redo(by: "test", sheet_id: @sheet_id) }
        assert_equal stood[n + 1], rows(model_of(@project)), "done again: #{line}"
      end
    end
  end

  def test_the_next_act_finds_its_place_after_undoing_and_after_another_process
    begin_on("logical network")
    NETWORK.first(14).each { |line| say(line) }
    3.times { project_session.open { |open| open.undo(by: "test", sheet_id: @sheet_id) } }
    say("server after-undo on Office at .99")
    mine = project_session
    Store::ProjectSession.clear
    other = Store::ProjectSession.for(@project.id)
    other.open do |open|
      open.act(said: "theirs", by: "other", sheet_id: @sheet_id) do |draft|
        Basalt::Statements::Document.new("server theirs on Plant").into(draft, sheet_id: @sheet_id)
      end
    end
    mine.open do |open|
      open.act(said: "mine", by: "test", sheet_id: @sheet_id) do |draft|
        Basalt::Statements::Document.new("server mine on Plant").into(draft, sheet_id: @sheet_id)
      end
    end
    assert_equal %w[after-undo mine theirs], model_of(@project).of_kind("device").map(&:name).grep(/after|mine|theirs/).sort
    assert_clear(model_of(@project), "two processes")
  end

  def test_what_is_foreseen_leaves_nothing_behind
    begin_on("logical network")
    NETWORK.first(12).each { |line| say(line) }
    before = rows(model_of(@project))
    project_session.open do |open|
      6.times do |n|
        draft = Basalt::Change::Draft.new(open.set)
        Basalt::Statements::Document.new("server ghost-#{n} on Office at .#{60 + n}").into(draft, sheet_id: @sheet_id)
        refute_empty open.preview(draft, @sheet_id)
      end
    end
    assert_equal before, rows(model_of(@project))
    say("server real on Office at .60")
  end
end
