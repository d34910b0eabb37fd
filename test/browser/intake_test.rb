# frozen_string_literal: true

require_relative "../support/browser_helper"

# Bringing in an inventory, files of a sheet, and what everybody must be able to use.
class IntakeTest < Minitest::Test
  include BrowserHelper

  THINGS = File.join(APPLICATION_ROOT, "demo/things.csv")
  PLANT = "Greyholm plant network"

  def test_an_inventory_becomes_a_tidy_checked_sheet
    project = demo
    visit "/projects/#{project.id}"
    attach_file "CSV file of things", THINGS
    click_button "Look at it"
    assert_select "column-name", selected: "Device name"
    assert_select "column-address", selected: "IP address"
    assert_css ".preview td", text: "workstation desk-21 in Duty Room"
    assert_css ".preview td", text: "“toaster” is not a known role"
    select "not in the file", from: "column-role"
    assert_css ".preview td", text: "device kettle"
    select "Type", from: "column-role"
    fill_in "sheet-name", with: "Duty Room"
    click_button "Take 7 rows in"
    assert_text "6 rows taken, 1 rejected."
    assert_css "td", text: "toaster"
    assert_link "Download them"
    click_link "To the sheet"
    assert_css "#layer-things > g", text: "maps-02"
    assert_css "#register tbody tr", text: "10.20.32.11"
    assert_css ".finding", text: "desk-21 is the name of two devices", count: 0
  end

  def test_rejected_rows_can_be_downloaded
    project = demo
    visit "/projects/#{project.id}"
    attach_file "CSV file of things", THINGS
    click_button "Look at it"
    click_button "Take 7 rows in"
    click_link "Download them"
    assert_match(/\Aline,reason,Device name.*toaster/m, File.read(downloaded("rejected-rows.csv")))
  end

  def test_a_sheet_is_exported_as_svg_and_png
    project = demo
    open_sheet(project, PLANT)
    %w[SVG PNG].each do |type|
      find(".exports summary", text: "Export").click unless page.has_link?(type, exact: true, wait: 1)
      click_link "#{type} as on the sheet"
      assert_operator File.size(downloaded("TW-L-03-Greyholm-plant-network.#{type.downcase}")), :>, 5000
    end
  end

  def test_a_project_is_begun_from_nothing
    visit "/"
    fill_in "New project", with: "Ferncleugh"
    click_button "Open it"
    assert_text "This project has no sheet yet"
    fill_in "sheet-name", with: "Pump hall"
    select "logical network", from: "notation"
    click_button "Open it"
    assert_text "Three statements to try"
    say "subnet Pumps 10.20.9.0/24"
    assert_css "#layer-things > g", text: "Pumps"
  end

  def test_search_finds_names_addresses_and_sheets
    visit "/projects/#{demo.id}"
    fill_in "q", with: "10.20.4.20"
    assert_css "#found li", text: "historian – Plant"
    fill_in "q", with: "plc-0"
    assert_css "#found li", text: "plc-07"
    click_link PLANT, match: :first
    assert_css "#layer-things > g", text: "plc-07"
  end

  def test_axe_finds_nothing
    project = demo
    open_sheet(project, PLANT)
    assert_css "#layer-things > g", text: "historian"
    assert_accessible "sheet"
    thing("historian").click
    assert_css "#facts h2", text: "historian"
    assert_accessible "sheet with a thing selected"
    click_link "Reading"
    assert_css ".reading li", minimum: 5
    assert_accessible "reading"
    visit "/projects/#{project.id}"
    assert_css "h2", text: "Drawing register"
    assert_accessible "register"
    attach_file "CSV file of things", THINGS
    click_button "Look at it"
    assert_css ".preview td", minimum: 5
    assert_accessible "mapping"
  end

  def test_everything_on_a_sheet_is_reached_with_the_keyboard
    open_sheet(demo, PLANT)
    find("body").send_keys("/")
    assert_equal "statement", page.evaluate_script("document.activeElement.id")
    find_field("statement").send_keys("server by-key", :enter)
    assert_css "#layer-things > g", text: "by-key"
    find_field("statement").send_keys(:escape, :escape)
    find("#viewport").send_keys("n")
    assert_css "#facts h2", text: "plc-08 – Plant"
    find("#tab-device").send_keys(:enter)
    assert_css "#register td", text: "by-key"
    find("#register td[tabindex='0']").send_keys([:control, :end])
    find("#register td", text: "by-key").send_keys(:f2, :escape)
    assert_css "#layer-things > g.chosen", text: "by-key"
    before = place(thing("by-key"))
    find("#viewport").send_keys(:right)
    assert_css "#history button[title*='moved by-key']"
    assert_operator place(thing("by-key"))["x"], :>, before["x"]
    find("#viewport").send_keys("?")
    assert_css "dialog[open] h2", text: "Keys"
  end
end
