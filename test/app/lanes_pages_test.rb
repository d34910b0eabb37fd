# frozen_string_literal: true

require_relative "../support/request_helper"

# A sheet whose places say something, through the pages: what is dropped alters the model, and nothing is put anywhere.
class LanesPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def set = model_of(@project)
  def table = @table ||= sheet_of(@project, "Leak response table")
  def act(rest, values = {}) = post("#{base}/sheets/#{table.id}/#{rest}", values.merge(token:), "HTTP_HX_REQUEST" => "true")
  def party(name) = set.named(name).find { |one| one.kind == "party" }
  def lanes = set.things_on(table.id).sort_by { |one| Basalt::Change::Reorder.key(one) }.map(&:name)
  def rows = Basalt::Process::Acts.sorted(set.of_kind("activity"))
  def box(name) = Basalt::Drawing::AsDrawn.of(set, table.id).placement(table.id, party(name).id).box
  def places = set.placements_on(table.id).map { |one| [one.id, one.x, one.route] }

  def test_a_lane_is_dropped_between_others_and_back
    before = lanes
    standing = places
    by = box("Duty engineer").x - box("Caller").x + 80
    act("moves", moves: JSON.generate([[party("Caller").id, by, 0]]), dropped: "yes")
    assert_equal ["Call handler", "Duty engineer", "Caller"], lanes.first(3)
    assert_match 'data-whole="true"', last_response.body
    assert_equal standing, places, "nothing is put anywhere"
    act("moves", moves: JSON.generate([[party("Caller").id, 3, 90]]), dropped: "yes")
    assert_match "Nothing is different: it stands so already", last_response.body
    act("undo")
    assert_equal before, lanes
  end

  def test_a_row_goes_to_another_place_and_to_somebody_else
    row, before = rows.values_at(4, 1)
    act("part-placed/#{row.id}", owner: party("Repair crew").id, before: before.id)
    assert_equal row.id, rows[1].id
    assert_equal party("Repair crew").id, rows[1].target("who")
    act("part-placed/#{row.id}", owner: party("Repair crew").id, before: "")
    assert_equal row.id, rows.last.id
    act("rows/#{row.id}", by: -2)
    assert_equal row.id, rows[-3].id
    act("part-placed/#{party("Caller").id}", owner: party("Repair crew").id, before: "")
    assert_match "stands where the activities of the sheet have it", last_response.body
  end

  def test_who_is_placed_gets_a_lane_where_it_was_put
    at = box("Duty engineer").x - 4
    act("placed", noun: "role", name: "Night watch", x: at, y: 300)
    assert_equal ["Call handler", "Night watch", "Duty engineer"], lanes[1, 3]
    act("placed", noun: "role", name: "Day watch", x: 0, y: 0, after: party("Night watch").id)
    assert_equal ["Night watch", "Day watch", "Duty engineer"], lanes[2, 3]
  end

  # What the notation rules is not arranged by hand, and it is said why; captions are.
  def test_what_the_notation_rules_is_not_arranged_by_hand
    caller = party("Caller")
    act("sized/#{caller.id}", w: 300, h: 40)
    assert_match "stands where the activities of the sheet have it", last_response.body
    act("arranged", chosen: [caller, party("Repair crew")].map(&:id).join(" "), how: "left")
    assert_match "stands where the activities of the sheet have it", last_response.body
    line = rows.find { |row| Basalt::Process::Acts.receiver(row) }
    act("bent/#{line.id}", points: JSON.generate([[0, 0], [40, 0]]))
    assert_match "goes from row to row", last_response.body
    act("tidy", layout_style: "tree")
    assert_match "stand in their order", last_response.body
    act("placed", noun: "caption", name: "Remark", x: 20, y: 900, facts: JSON.generate(text: "as told in May"))
    caption = set.named("Remark").first
    at = set.placement(table.id, caption.id)
    act("moves", moves: JSON.generate([[caption.id, 15, 25]]))
    assert_equal([at.x + 15, at.y + 25], set.placement(table.id, caption.id).then { |placed| [placed.x, placed.y] })
  end

  def test_the_picture_and_the_register_follow_what_is_said
    act("statements", statements: "Repair crew checks the valve, processing, giving \"valve report\" to Duty engineer")
    assert_match(/valve report/, last_response.body)
    row = set.named("checks the valve").first
    item = Basalt::Drawing::Scene.new(set, table.id).items.find { |one| one.element_id == row.id && one.layer == :lines }
    assert_equal 2, item.data[:route].split.length / 2
    assert_includes get("#{base}/sheets/#{table.id}/export.svg").body, "valve report"
    act("removed", chosen: row.id, sure: "yes")
    assert_match "l#{set.placements.by(:element, row.id).first&.id}", last_response.body
    assert_nil set.element(row.id)
  end

  # A table of many rows is as quick to alter in one place as another: no row but the one that goes gets another key.
  def test_a_row_that_is_moved_alters_itself_alone
    act("rows/#{rows.last.id}", by: -3)
    outcome = rows.map { |row| row["row"] }
    act("rows/#{rows[2].id}", by: 4)
    altered = rows.sum { |row| outcome.include?(row["row"]) ? 0 : 1 }
    assert_operator altered, :<=, 1
  end
end
