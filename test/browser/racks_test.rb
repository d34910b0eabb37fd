# frozen_string_literal: true

require_relative "../support/browser_helper"

# Things are dropped into racks, pushed, resized and said, with a server that takes its time; the units follow.
class RacksBrowserTest < Minitest::Test
  include BrowserHelper

  TEXT = <<~TEXT
    project P
    room Hall
    sheet S: rack
    rack R1 in Hall, 12U, supplies 1000W
    rack R2 in Hall, 8U
    server a in R1 at U5, 1U, 300W
    server b in R1 at U6, 2U
    server c in R2 at U1
    switch loose
  TEXT

  def unit(name) = model_of(@project).named(name).first.then { |one| [model_of(@project).element(one.container_id)&.name, one["at unit"]] }
  def height(name) = model_of(@project).named(name).first["height"]

  # px on the screen for one unit.
  def row
    page.evaluate_script("document.querySelector('#layer-things > g[data-name=\"a\"] path').getBoundingClientRect().height").round(1)
  end

  # To where another thing stands, some units beneath it.
  def drop(name, onto, down)
    from, to = [name, onto].map { |one| place(thing_named(one)) }
    drag(thing_named(name), to["x"] - from["x"], to["y"] - from["y"] + (down * row).round)
    settled
  end

  def thing_named(name) = find("#layer-things > g[data-name='#{name}']")

  def test_things_are_dropped_into_racks_pushed_said_and_sized
    @project = project(TEXT)
    open_sheet(@project, "S")
    latency(0.3)
    assert_css "#layer-things > g[data-name='R1']", text: "12 units: 9 free"
    drop("loose", "a", 2)
    assert_equal ["R1", 3], unit("loose")
    # Onto the lower part of what stands there: it goes up, and pushes what is above it.
    drop("loose", "a", 0.2)
    assert_equal([["R1", 5], ["R1", 6], ["R1", 7]], %w[loose a b].map { |name| unit(name) })
    type "/c in R1 at U1, 3U, 250W\nserver d in R2 at U4, 2U\n"
    drop("d", "b", -3)
    assert_equal [["R1", 1], 3], [unit("c"), height("c")]
    assert_equal "R1", unit("d").first
    assert_css "#layer-things > g[data-name='R1']", text: "550 of 1000 W"
    assert_empty Basalt::Checks::Runner.new(model_of(@project)).findings.map(&:message)
    assert_accessible "a sheet of racks"
  end

  def test_racks_are_drawn_from_their_room_and_room_is_looked_for
    @project = project("#{TEXT}sheet L: logical network\nroom Hall\nserver z in Hall")
    open_sheet(@project, "L")
    latency(0.3)
    find("#layer-boundaries text", text: "Hall").click
    assert_css "#facts", text: "R1 12 units: 9 free, 5 of them together"
    fill_in "units", with: "6"
    page.send_keys(:tab)
    assert_css "#rack-room", text: "R2 U2 in a gap of 7"
    click_button "Draw its racks"
    assert_css ".where strong", text: "Racks of Hall"
    assert_css "#layer-things > g[data-name='R2']"
    assert_css "#layer-things > g[data-name='c']"
  end
end
