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

  # Everything the catalogue of conceptual models holds.
  EVERYTHING = <<~TEXT
    project Tarnwater
    sheet All: entities
    entity Crew, meaning "people who work together", also called "gang, team"
    weak entity Shift of Crew
    entity %<name>s
    entity Work Order
    entity Part
    meeting Issue, kept over time
    %<name>s has %<name>s (street, town (%<name>s, post), postcode required) required, code key, phones many, headcount derived from phones by "count of phones", price kept over time
    Shift has starts at partial key, "key" required meaning "say, what", age derived
    Crew "works for" exactly one %<name>s; a %<name>s employs zero or more Crew, kept over time
    Crew as lead leads 2 to 7 Crew as follower
    a Work Order uses Part
    a Part uses Part; a Part is used by many Part
    Work Order uses Part has quantity required, price kept over time
    "works for" has since required
    a Crew, a Part and a Work Order meet in Issue
    in Issue the others meet exactly one Crew as giver
    Issue has issued on key
    Vehicle is a kind of %<name>s
    Asset is either Pump, %<name>s or "Valve, big", complete
    Reading is any of Level or Flow
    Shift is assumed
  TEXT

  def test_everything_comes_back_with_hostile_names
    [
      "Depot",
      "a, b",
      "many",
      "key",
      'say "so"',
      "a Crew",
      "exactly one",
      "has",
      "x; y",
      "Crew has",
      "<b>&amp;",
      "is a kind of",
      "or",
      "meet in",
      "derived",
      "weak entity",
      "(x)",
      "in Issue"
    ].each do |name|
      set = model(format(EVERYTHING, name: Basalt::Statements::Quoting.quote(name)))
      assert_equal facts(set), facts(model(reading(set))), "#{name}\n#{reading(set)}"
      assert_equal reading(set), reading(model(reading(set)))
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
    assert_equal([["no-key", "Asset has no key"]], found.reject { |f| f.id == "undecided-cardinality" }.map { |f| [f.id, f.message] })
    mended = Basalt::Change::Draft.new(set).apply(found.first.repair.changes)
    refute_includes Basalt::Checks::Runner.new(mended).findings.map(&:id), "no-key"
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
    routes
      .flat_map { |points| Basalt::Layout::Polyline.boxes(points) }
      .each { |segment| boxes.each { |box| refute box.overlap?(segment) } }
  end

  def test_the_drawing_marks_keys_and_escapes_names
    set = model("sheet S: entities\nentity \"<script>\"\n\"<script>\" has code key", tidy: true)
    svg = Basalt::Drawing::SVG.document(Basalt::Drawing::Scene.new(set, set.sheet_list.first.id), description: "<d>")
    refute_includes svg, "<script>"
    assert_includes svg, "&lt;script&gt;"
    assert_includes svg, ">#</text>"
  end
end
