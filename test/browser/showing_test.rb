# frozen_string_literal: true

require_relative "../support/browser_helper"

# Showing less and more of a sheet, and another beside it.
class ShowingTest < Minitest::Test
  include BrowserHelper

  PLANT = "Greyholm plant network"

  def test_labels_are_hidden_all_or_one_by_one_and_brought_back
    open_sheet(demo, PLANT)
    assert_css "#layer-labels text", text: ".10"
    find("#sheet-more summary").click
    click_button "Hide the labels of lines"
    assert_no_css "#layer-labels text"
    click_button "Bring them back"
    assert_css "#layer-labels text", text: ".10"
    find("#layer-labels g", text: ".10").click
    click_button "Hide its label"
    assert_no_css "#layer-labels text", text: ".10"
    page.send_keys(:escape)
    assert_css "#facts", text: "The labels of 1 line are hidden"
    click_button "Bring these back"
    assert_css "#layer-labels text", text: ".10"
  end

  def test_parallel_lines_are_folded_and_unfolded
    @project = project("project P\nsheet S: logical network\nswitch a\nswitch b\na to b three times")
    open_sheet(@project, "S")
    assert_css "#layer-lines > g", count: 3, visible: :all
    find("#sheet-more summary").click
    click_button "Fold parallel lines"
    assert_css "#layer-labels text", text: "3 lines"
    assert_css "#layer-lines > g", count: 1, visible: :all
    say "a to b four times"
    assert_css "#layer-labels text", text: "4 lines"
    page.send_keys(:escape)
    click_button "Unfold them"
    assert_css "#layer-lines > g", count: 4, visible: :all
  end

  def test_another_sheet_stands_beside_and_lights_what_is_selected
    open_sheet(demo, PLANT)
    find(".exports summary", text: "Beside").click
    click_button "Wide-area network"
    assert_css "#beside g[data-element]", text: "edge-01"
    assert_css "#drawing g.no-counterpart", text: "historian"
    thing("edge-01").click
    assert_css "#beside g.chosen", text: "edge-01"
    find("#beside .things", text: "pe-01").click
    assert_css "#facts h2", text: "pe-01"
    click_button "Close"
    assert_no_css "#beside g"
  end

  def test_the_keys_go_up_and_down_between_the_sheets_of_a_thing
    open_sheet(demo, PLANT)
    thing("edge-01").click
    assert_css "#facts h2", text: "edge-01"
    page.send_keys("]")
    assert_css ".where strong", text: "Greyholm cabling"
    assert_css "#layer-things > g.chosen", text: "edge-01"
    page.send_keys("]")
    assert_css ".where strong", text: "Comms Room racks"
    assert_css "#layer-things > g.chosen", text: "edge-01"
    page.send_keys("]")
    assert_css "#answer", text: "no sheet further down"
    page.send_keys("[")
    assert_css ".where strong", text: "Greyholm cabling"
    page.send_keys("[")
    assert_css ".where strong", text: PLANT
    page.send_keys("[")
    assert_css ".where strong", text: "Wide-area network"
    assert_css "#layer-things > g.chosen", text: "edge-01"
    page.send_keys("]")
    assert_css ".where strong", text: PLANT
  end

  def test_captions_divides_and_pictures_stand_on_any_sheet
    open_sheet(demo, "Work orders")
    say 'caption C1, says "Crews work in two shifts"'
    assert_css "#layer-things > g", text: "Crews work in two shifts"
    say 'divide D1, before "inside", beyond "outside"'
    assert_css "#layer-things > g", text: "outside"
    find("#sheet-more summary").click
    attach_file "image", picture
    click_button "Put it there"
    assert_css "#layer-things image[href^='/projects/']", visible: :all
    click_link "Reading"
    assert_css ".reading li", text: 'caption C1 says "Crews work in two shifts"'
  end

  def test_an_image_that_is_none_is_refused
    open_sheet(demo, PLANT)
    expect_refusals
    find("#sheet-more summary").click
    attach_file "image", File.join(APPLICATION_ROOT, "demo/things.csv"), make_visible: true
    click_button "Put it there"
    assert_css "#refused", text: "neither PNG nor SVG"
  end

  def test_the_overview_goes_where_it_is_pressed
    open_sheet(demo, PLANT)
    assert_css "#overview", visible: :hidden
    6.times { click_button "Larger" }
    assert_css "#overview"
    before = page.evaluate_script("document.getElementById('paper').style.transform")
    find("#overview").click(x: -40, y: -30)
    refute_equal before, page.evaluate_script("document.getElementById('paper').style.transform")
  end

  private

  def picture
    File
      .join(BrowserHelper::DOWNLOADS, "mark.svg")
      .tap do |path|
        File.write(
          path,
          '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><script>x()</script><rect width="40" height="20" ' \
          'onclick="x()"/></svg>'
        )
      end
  end
end
