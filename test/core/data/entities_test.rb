# frozen_string_literal: true

require_relative "../../support/core_helper"

# Entities, attributes and relationships as statements, drawing, reading and finding.
class EntitiesTest < Minitest::Test
  include CoreHelper

  TEXT = <<~TEXT
    project Tarnwater
    sheet Work orders: entities
    a Crew carries out zero or more Work Order; a Work Order is carried out by exactly one Crew
    entity Crew
    entity Work Order
    entity Asset
    Crew has code key, name required, phones many
    Work Order has number key, found at, "key" required
    Asset has serial number
    a Work Order concerns 1 to 3 Asset; an Asset is subject of many Work Order
    an Asset is fed by zero or one Asset
  TEXT

  def test_the_reading_gives_the_same_model
    set = model(TEXT)
    assert_equal facts(set), facts(model(reading(set)))
    assert_equal reading(set), reading(model(reading(set)))
  end

  def test_hostile_names_come_back
    ["a, b", "many", "key", 'say "so"', "a Crew", "exactly one", "has", "x; y", "Crew has", "<b>&amp;"].each do |name|
      quoted = Basalt::Statements::Quoting.quote(name)
      set = model("sheet S: entities\nentity #{quoted}\nentity Crew\n#{quoted} has #{quoted} key\nCrew \"keeps\" one or more #{quoted}")
      assert_equal facts(set), facts(model(reading(set))), name
    end
  end

  def test_attributes_and_cardinalities_are_kept
    set = model(TEXT)
    crew = set.named("Crew").first
    assert_equal %w[code name phones], set.parts_of(crew.id).map(&:name)
    assert_equal(["exactly one", "zero or more"], set.named("carries out").first.ends.map { |e| e.facts["cardinality"] })
  end

  def test_an_entity_without_key_is_found_and_mended
    set = model(TEXT)
    found = findings(set)
    assert_equal([["no-key", "Asset has no key"]], found.map { |f| [f.id, f.message] })
    mended = Basalt::Change::Draft.new(set).apply(found.first.repair.changes)
    assert_empty Basalt::Checks::Runner.new(mended).findings
    assert mended.named("serial number").first["key"]
  end

  def test_a_range_that_runs_backwards_is_refused
    error = assert_raises(Basalt::Statements::Misread) { model("sheet S: entities\nentity A\nentity B\nA holds 5 to 2 B") }
    assert_match(/line 4.*5 to 2 runs backwards/, error.message)
  end

  def test_the_way_back_must_lead_back
    text = "sheet S: entities\nentity A\nentity B\nentity C\na A holds B; a C is held by A"
    assert_match(/lead back from B to A/, assert_raises(Basalt::Statements::Misread) { model(text) }.message)
  end

  def test_boxes_and_lines_do_not_meet
    set = model(TEXT, tidy: true)
    sheet = set.sheet_list.first
    boxes = set.things_on(sheet.id).map { |entity| set.placement(sheet.id, entity.id).box }
    boxes.combination(2) { |one, other| refute one.overlap?(other) }
    routes = set.relations_on(sheet.id).map { |line| set.placement(sheet.id, line.id).route["points"] }
    routes.flat_map { |points| Basalt::Layout::Polyline.boxes(points) }.each { |segment| boxes.each { |box| refute box.overlap?(segment) } }
  end

  def test_the_drawing_marks_keys_and_escapes_names
    set = model("sheet S: entities\nentity \"<script>\"\n\"<script>\" has code key", tidy: true)
    svg = Basalt::Drawing::SVG.document(Basalt::Drawing::Scene.new(set, set.sheet_list.first.id), description: "<d>")
    refute_includes svg, "<script>"
    assert_includes svg, "&lt;script&gt;"
    assert_includes svg, ">#</text>"
  end
end
