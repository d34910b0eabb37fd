# frozen_string_literal: true

require_relative "../support/browser_helper"

# Rows of entities and tables, edited where they stand: on the drawing as lines of text, in the
# margin as a table. Nobody waits for an answer.
class PartsTest < Minitest::Test
  include BrowserHelper

  def setup
    super
    @project = project("project P\nsheet S: entities\nentity Crew\nCrew has code key, name required\nentity Depot\nDepot has town")
    open_sheet(@project, "S")
    latency(0.06)
  end

  def row(text) = find("#layer-things [data-part]", text:)
  def edit(text) = page.driver.browser.action.double_click(row(text).native).perform
  def focus = page.evaluate_script("document.activeElement.id || document.activeElement.className || document.activeElement.dataset.key")

  def reading
    settled
    set = model_of(@project)
    Basalt::Statements::Unparser.new(set).sentences(set.sheet_list.first.id).flat_map(&:last)
  end

  def test_a_row_is_edited_as_text_and_enter_goes_on_to_a_new_one
    edit("name")
    assert_field "The row as text", with: "name required"
    type "called required\nphones many\nage derived\n"
    type "\e"
    assert_includes reading, "Crew has code key, called required, phones many, age derived"
    3.times { find("#viewport").send_keys([:control, "z"]) }
    assert_includes reading, "Crew has code key, name required"
  end

  def test_what_is_not_understood_is_told_at_its_letter_and_refused
    expect_refusals
    @project = project("project Q\nsheet S: tables\ntable crews\ncrews has crew_id bigint key, name text")
    open_sheet(@project, "S")
    edit("name")
    assert_field "The row as text", with: "name text"
    type "name text reqired"
    assert_css "#part-line p", text: /\^ .*did you mean “required”/
    type "\n\e"
    assert_css "#refused", text: "reqired"
    assert_includes reading, "crews has crew_id bigint key, name text"
  end

  def test_a_chosen_row_is_moved_dragged_to_another_owner_and_taken_away
    row("name").click
    assert_css "#layer-things .row-chosen"
    page.driver.browser.action.key_down(:alt).send_keys(:arrow_up).key_up(:alt).perform
    assert_includes reading, "Crew has name required, code key"
    row("code").click
    page
      .driver
      .browser
      .action
      .click_and_hold(row("code").native)
      .move_to(row("town").native, 0, 4)
      .move_to(row("town").native, 0, 6)
      .release
      .perform
    assert_equal ["Crew has name required", "Depot has town, code key"], reading.grep(%r{ has })
    row("town").click
    page.send_keys(:delete)
    assert_equal ["Crew has name required", "Depot has code key"], reading.grep(%r{ has })
  end

  def test_the_parts_of_what_is_selected_are_a_table_in_the_margin
    thing("Crew").click
    find(".parts-table tr.new td[data-key='name']").click
    type "phones\t\t\t\tyes\nage\n"
    assert_equal "name", focus.split.last || focus
    assert_includes reading, "Crew has code key, name required, phones many, age"
    assert_css "#tabs [aria-selected=true]", text: "Entities"
    assert_accessible "a thing with its parts"
  end
end
