# frozen_string_literal: true

require_relative "../support/core_helper"

# A project as one JSON document.
class DocumentTest < Minitest::Test
  include CoreHelper

  Document = Basalt::Formats::ProjectDocument
  HOSTILE =
    "project \"Ω, \"\"x\"\"\"\nsheet \"<s>\": logical network\nserver \"a, \"\"b\"\": c\"\nnote on \"a, \"\"b\"\": c\": \\u0000 is not " \
    "here </script>\n" \
    "sheet E: entities\nentity Crew\nCrew has code key\na Crew uses many Crew"

  def rows(set) = Basalt::Model::RowTypes.tables.to_h { |table| [table, set.table(table).each.sort_by(&:ordinal).map(&:to_h)] }

  def waived(set)
    finding = findings(set).first or return set
    draft = Basalt::Change::Draft.new(set)
    draft.apply(
      Basalt::Change::Waive.new(
        finding: finding.key,
        state: finding.state(set),
        reason: "known",
        said_by: "a",
        at: "2026-01-01T00:00:00Z"
      )
    )
    set.advance(draft.effect)
  end

  def samples
    [model(HOSTILE, tidy: true), model(File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__)), tidy: true)] +
      3.times.map { |seed| waived(model(GeneratedNetwork.new(seed, subnets: 2, things: 6).text, tidy: true)) }
  end

  def test_what_is_written_is_read_back_without_loss
    samples.each do |set|
      text = Document.write(set)
      back = Document.read(text)
      assert_equal rows(set), rows(back.set)
      assert_equal [set.project, text], [back.name, Document.write(back.set)]
      assert_equal reading(set), reading(back.set)
    end
  end

  def test_whatever_a_sheet_shows_comes_back
    set = model(HOSTILE)
    sheet = set.sheet_list.first
    shown = Basalt::Model::Sheet::PARTS.map { |part| Basalt::Change::SetView.new(sheet_id: sheet.id, part:, on: true) }
    set.advance(Basalt::Change::Draft.new(set).apply(*shown).effect)
    assert_equal Basalt::Model::Sheet::PARTS.sort, set.sheet_list.first.view.keys.sort
    assert_equal rows(set), rows(Document.read(Document.write(set)).set)
    assert_equal set.sheet_list.first.view, model(reading(set)).sheet_list.first.view
  end

  def test_every_document_fits_its_schema
    samples.each do |set|
      assert_empty(Basalt::Formats::Schema.schema.validate(JSON.parse(Document.write(set))).first(3).map { |error| error["error"] })
    end
  end

  # As Basalt's first version kept it.
  def first_version(json)
    old =
      lambda do |text|
        text
          .gsub('"notation_name"', '"notation"')
          .gsub('"layout_style"', '"manner"')
          .gsub('"labels_hidden"', '"quiet"')
          .sub(/"basalt": \d+/, '"basalt": 1')
      end
    old.call(json)
  end

  def test_a_document_of_an_earlier_version_is_read
    set = model("project P\nsheet S: logical network, laid out in rows\nserver a\nserver b\na to b", tidy: true)
    sheet = set.sheet_list.first
    line = set.relations_on(sheet.id).first
    set.advance(
      Basalt::Change::Draft.new(set).apply(Basalt::Change::HideLabel.new(sheet_id: sheet.id, element_id: line.id, on: true)).effect
    )
    entry = {
      number: 1,
      act: "act",
      state: "done",
      said: "hid",
      said_by: "a",
      at: "2026-01-01T00:00:00Z",
      deltas: [{ table: "sheets", id: sheet.id, before: nil, after: Basalt::Model::RowTypes.of(:sheets).dump(sheet) }]
    }
    text = Document.write(set, extras: Document::Extras.new(journal: [entry]))
    old = first_version(text)
    refute_equal text, old
    back = Document.read(old)
    assert_equal rows(set), rows(back.set)
    assert_equal sheet.notation_name, back.extras.journal[0]["deltas"][0]["after"]["notation_name"]
  end

  def refused(change, place)
    json =
      JSON.parse(
        Document.write(model("project P\nsheet S: logical network\nserver a\nsubnet Net 10.0.0.0/24\na on Net at .1", tidy: true))
      )
    change.call(json)
    error = assert_raises(Document::Damaged, place) { Document.read(json.to_json) }
    assert_operator error.message, :start_with?, "#{place}: "
  end

  def test_a_damaged_document_is_refused_with_the_place
    refused(->(json) { json["basalt"] = Document::VERSION + 1 }, "/basalt")
    refused(->(json) { json.delete("basalt") }, "/basalt")
    refused(->(json) { json["wombat"] = [] }, "/wombat")
    refused(->(json) { json["elements"] = {} }, "/elements")
    refused(->(json) { json["elements"][0]["kind"] = "wombat" }, "/elements/0/kind")
    refused(->(json) { json["elements"][0].delete("id") }, "/elements/0/id")
    refused(->(json) { json["elements"][1]["id"] = json["elements"][0]["id"] }, "/elements/1/id")
    refused(->(json) { json["elements"][2]["ends"][0]["target_id"] = "x" }, "/elements/2/ends/0/target_id")
    refused(->(json) { json["elements"][2]["ends"][0]["role"] = "x" }, "/elements/2/ends/0/role")
    refused(->(json) { json["elements"][2].delete("ends") }, "/elements/2/ends")
    refused(->(json) { json["elements"][1]["facts"]["prefix"] = "10.0.0.7/24" }, "/elements/1/facts/prefix")
    refused(->(json) { json["elements"][0]["container_id"] = "nowhere" }, "/elements/0/container_id")
    refused(->(json) { json["sheets"][0]["notation_name"] = "x" }, "/sheets/0/notation_name")
    refused(->(json) { json["placements"][0]["x"] = "left" }, "/placements/0/x")
    refused(->(json) { json["placements"][0]["sheet_id"] = "x" }, "/placements/0/sheet_id")
    refused(->(json) { json["journal"] = [{ "number" => 1 }] }, "/journal/0/act")
    refused(
      ->(json) do
        json["images"] = [{ "id" => "a", "name" => "b", "type" => "text/html", "width" => 1, "height" => 1, "data" => "AA==" }]
      end,
      "/images/0/type"
    )
  end

  def test_what_is_no_document_is_refused
    ["", "[1]", "{", "{\"basalt\": 1", "\xFF\xFE", "#{"[" * 50}#{"]" * 50}"].each do |text|
      assert_raises(Document::Damaged, text) { Document.read(text.b) }
    end
  end
end
