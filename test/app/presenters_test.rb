# frozen_string_literal: true

require_relative "../support/app_helper"

# What pages show, worked out of the model.
class PresentersTest < Minitest::Test
  include AppHelper

  REFUSED = Basalt::Statements::ReadingPatch::Refused

  # A project as a page sees it.
  def viewing(project, &) = Store::ProjectSession.for(project.id).open(&)

  def table(view, sheet, **about) = Web::Presenters::Table.new(view, sheet, "device", **about)

  def test_the_pages_of_a_table_hold_every_row_once_in_whatever_order
    things = Array.new(Web::Presenters::Table::PAGE + 30) { |n| "server host-#{n}" }
    viewing(project("sheet S: logical network\n#{things.join("\n")}")) do |view|
      sheet = view.set.sheet_list.first
      [{}, { by: "name", down: false, filter: "" }, { by: "name", down: true, filter: "" }].each do |order|
        pages = [table(view, sheet, order:), table(view, sheet, order:, from: Web::Presenters::Table::PAGE)]
        rows = pages.flat_map(&:rows)
        assert_equal view.set.of_kind("device").map(&:id).sort, rows.map(&:element_id).sort
        assert_match(/\Aregister\/device\?from=200/, pages.first.more)
        assert_nil pages.last.more
        names = rows.map { |row| row.cells.assoc("name").last }
        sorted = names.sort_by { |name| name[/\d+/].to_i }
        assert_equal order[:down] ? sorted.reverse : sorted, names
      end
      found = table(view, sheet, order: { by: "", down: false, filter: "host-22" }).rows
      assert_equal(%w[host-22 host-220 host-221 host-222 host-223 host-224], found.map { |row| row.cells.assoc("name").last }.first(6))
    end
  end

  # What was refused stays where it was typed, among all that stands.
  def test_an_edited_reading_keeps_every_line
    viewing(demo) do |view|
      view.set.sheet_list.each do |sheet|
        reading = Basalt::Statements::Unparser.new(view.set).reading(sheet.id)
        sentences = Web::Presenters::Sentences.new(reading)
        lines = reading.flatten(1).flat_map(&:last)
        plain = sentences.editor
        assert_equal([lines, lines], [plain.before, plain.text].map { |text| text.split("\n") })
        random = Random.new(sheet.name.length)
        places = (0..lines.length).to_a.sample(3, random:)
        refused = places.each_with_index.map { |index, n| REFUSED.new(index:, text: "wombat #{n}", reason: "no such word #{n}") }
        editor = sentences.editor(refused)
        typed = editor.text.split("\n")
        assert_equal lines, typed.grep_v(/\Awombat/)
        assert_equal lines, editor.before.split("\n")
        assert_equal typed.length, editor.owner_ids.split.length
        editor.refused.each { |at, reason| assert_equal "wombat #{reason[/\d\z/]}", typed[at], sheet.name }
        assert_equal(lines.length, sentences.parts.sum { |_, told| told.length })
      end
    end
  end

  def test_every_element_of_the_sample_has_facts_that_can_be_set
    viewing(demo) do |view|
      view.set.sheet_list.each do |sheet|
        shown = view.set.things_on(sheet.id) + view.set.relations_on(sheet.id)
        shown.each do |element|
          facts = Web::Presenters::ElementFacts.new(view, sheet, element, view.set.placement(sheet.id, element.id))
          fields = facts.fields
          assert_equal fields.map(&:id).uniq, fields.map(&:id), "#{element.kind} #{element.name}"
          chosen = fields.select(&:options)
          chosen.each { |field| assert_includes field.options.map(&:first), field.value, "#{element.name}: #{field.label}" }
          wanted = element.description.named? || element.description.fields.key?("name")
          assert_equal(wanted, fields.any? { |field| field.sent == { fact: "name" } }, element.kind)
        end
      end
    end
  end

  def test_levels_count_their_sheets_and_counts_are_of_what_is_found
    viewing(demo) do |view|
      by_sheet = view.findings_by_sheet
      bands = Web::Presenters::Strata.of(view.set, "Logical")
      assert_equal view.set.sheet_list.length, bands.sum(&:count)
      assert_equal(%w[Logical], bands.select(&:lit).map(&:name))
      view.set.sheet_list.each do |sheet|
        found = view.findings_on(sheet.id)
        assert_equal found.map(&:key), by_sheet.fetch(sheet.id, []).map(&:key), sheet.name
        counts = Web::Presenters::Counts.of(found)
        list = Web::Presenters::FindingList.new(view, sheet, found)
        assert_equal found.count { |one| %i[error warning].include?(one.severity) }, counts.errors + counts.warnings
        assert_equal found.length, list.told.length + list.unseen
        assert_equal list.told.map(&:id).uniq.length, list.told.length
      end
    end
  end
end
