# frozen_string_literal: true

require_relative "../support/app_helper"

# A project written as a document and brought in as another.
class ArchiveTest < Minitest::Test
  include AppHelper

  Safe = Struct.new(:content, :type, :width, :height)
  SAFE = ->(bytes) { Safe.new(bytes, "image/png", 2, 2) }

  def worked_on
    project = demo
    project_session = Store::ProjectSession.for(project.id)
    project_session.open do |open|
      sheet = open.set.sheets[sheet_of(project, "Greyholm plant network").id]
      open.act(said: "said: server x", by: "a", sheet_id: sheet.id) do |draft|
        Basalt::Statements::Document.new("server x").into(draft, sheet_id: sheet.id)
      end
      open.act(said: "tidied", by: "a", sheet_id: sheet.id, tidy: true) { nil }
      open.undo(by: "a", sheet_id: sheet.id)
      finding = open.findings.first
      open.act(said: "waived", by: "a", sheet_id: sheet.id) do |draft|
        draft.apply(
          Basalt::Change::Waive.new(finding: finding.key, state: finding.state(open.set), reason: "known", said_by: "a", at: "2026-01-01")
        )
      end
    end
    Store::Image.create!(
      id: SecureRandom.uuid,
      project_id: project.id,
      name: "mark",
      type: "image/png",
      width: 2,
      height: 2,
      content: "\x89PNG\x00".b
    )
    source = model_of(project).named("Supply map brief").find { |one| one.kind == "source" }
    Store::SourceText.keep(project.id, source.id, 1, "What is asked for.", "a")
    project
  end

  def shape(project_id)
    set = model_of(project_id.is_a?(String) ? Store::Project.find(project_id) : project_id)
    [
      Basalt::Statements::Unparser.new(set).project,
      set.placements.each.sort_by(&:ordinal).map { |p| p.to_h.except(:id, :sheet_id, :element_id) },
      set.waivers.each.map(&:reason)
    ]
  end

  # The entries of the journal are made to be what the first version kept.
  def grow_old(project)
    old = Store::JournalEntry.where(project_id: project.id).order(:number).last
    old.update_columns(
      row_version: 1,
      deltas:
        JSON.parse(
          old.deltas.to_json.gsub('"layout_style"', '"manner"').gsub('"labels_hidden"', '"quiet"').gsub('"notation_name"', '"notation"')
        )
    )
  end

  def test_an_act_that_was_kept_in_an_earlier_shape_is_undone
    project = project("sheet S: logical network\nserver a\nserver b\na to b")
    project_session = Store::ProjectSession.for(project.id)
    before = rows(model_of(project))
    sheet, line = model_of(project).then { |set| [set.sheet_list.first.id, set.of_kind("link").first.id] }
    project_session.open do |open|
      open.act(said: "hid", by: "a", sheet_id: sheet) do |draft|
        draft.apply(
          Basalt::Change::HideLabel.new(sheet_id: sheet, element_id: line, on: true),
          Basalt::Change::SetLayoutStyle.new(sheet_id: sheet, style: "rows")
        )
      end
    end
    grow_old(project)
    refute_equal before, rows(model_of(project))
    project_session.open { |open| open.undo(by: "a", sheet_id: sheet) }
    assert_equal before, rows(model_of(project))
    project_session.open { |open| open.redo(by: "a", sheet_id: sheet) }
    assert_equal "rows", model_of(project).sheets[sheet].layout_style
  end

  def test_a_project_comes_back_as_another_that_is_the_same
    project = worked_on
    text = Store::Archive.write(project.id)
    copy = Store::Archive.read(text, &SAFE)
    assert_equal shape(project), shape(copy)
    refute_equal model_of(project).sheet_list.map(&:id), model_of(copy).sheet_list.map(&:id)
    assert_equal(
      Store::JournalEntry.where(project_id: project.id).order(:number).map { |e| [e.number, e.act, e.state, e.said, e.at.to_i] },
      Store::JournalEntry.where(project_id: copy.id).order(:number).map { |e| [e.number, e.act, e.state, e.said, e.at.to_i] }
    )
    assert_equal ["\x89PNG\x00".b], Store::Image.where(project_id: copy.id).map(&:content)
    assert_equal "What is asked for.",
                 Store::SourceText.of(copy.id, model_of(copy).named("Supply map brief").find { |one| one.kind == "source" })
    assert_equal(
      model_of(project).sheet_list.map { |sheet| model_of(project).element(sheet.subject_id.to_s)&.name },
      model_of(copy).sheet_list.map { |sheet| model_of(copy).element(sheet.subject_id.to_s)&.name }
    )
    assert_equal(
      Store::ProjectSession.for(project.id).open { |project_session| project_session.findings.length },
      Store::ProjectSession.for(copy.id).open { |project_session| project_session.findings.length }
    )
  end

  def test_what_was_done_before_can_still_be_undone
    project = worked_on
    copy = Store::Archive.read(Store::Archive.write(project.id), &SAFE)
    sheet = sheet_of(copy, "Greyholm plant network")
    Store::ProjectSession.for(copy.id).open { |project_session| 2.times { assert project_session.undo(by: "b", sheet_id: sheet.id) } }
    assert_empty model_of(copy).named("x")
  end

  def test_a_damaged_document_takes_nothing
    text = Store::Archive.write(worked_on.id)
    before = Store::Project.count
    assert_raises(Basalt::Formats::ProjectDocument::Damaged) do
      Store::Archive.read(text.sub('"kind": "device"', '"kind": "wombat"'), &SAFE)
    end
    assert_raises(Basalt::Formats::ProjectDocument::Damaged) { Store::Archive.read(text[0, text.length / 2], &SAFE) }
    assert_equal before, Store::Project.count
  end

  # What stands once more, lines at it, groups and order come back under ids of their own.
  def test_occurrences_groups_and_order_come_back
    project = project("project P\nprocess Sort in Deliver\nprocess Deliver\nsheet S: data flow\nprocess Sort, apart\nstore Book\nSort " \
                      "gives note to Book\n" \
                      "group Night\nSort belongs to Night\nsheet T: activities\nrole Clerk\nrole Boss\nClerk one\nBoss two, giving note " \
                      "to Clerk")
    occurrence(project)
    again = Store::Archive.read(Store::Archive.write(project.id)) { |bytes| bytes }
    one, other = [project, again].map { |each| Store::Snapshot.read(each.id) }
    refute_equal one.elements.each.map(&:id).sort, other.elements.each.map(&:id).sort
    assert_equal([1, 1], [one, other].map { |set| set.placements.each.count(&:again?) })
    further = other.placements.each.find(&:again?)
    line = other.of_kind("flow").first
    assert_equal({ "to" => further.id }, other.placement(further.sheet_id, line.id).attached)
    assert_equal told(one), told(other)
  end

  def occurrence(project)
    Store::ProjectSession.for(project.id).open do |view|
      sheet = view.set.sheet_list.first
      view.act(said: "showed it once more", by: "test", sheet_id: sheet.id) do |draft|
        store = draft.named("Book").first
        draft.apply(Basalt::Change::ShowAgain.new(sheet_id: sheet.id, element_id: store.id, id: key = SecureRandom.uuid))
        draft.apply(Basalt::Change::Attach.new(sheet_id: sheet.id, line_id: draft.of_kind("flow").first.id, role: "to", key:))
        rows = Basalt::Process::Acts.sorted(draft.of_kind("activity")).map(&:id)
        draft.apply(Basalt::Change::Reorder.new(ids: rows, id: rows.last, place: 1))
      end
    end
  end

  def told(set) = Basalt::Statements::Unparser.new(set).project
end
