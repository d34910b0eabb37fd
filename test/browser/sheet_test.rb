# frozen_string_literal: true

require_relative "../support/browser_helper"

# What an analyst does on a sheet.
class SheetTest < Minitest::Test
  include BrowserHelper

  PLANT = "Greyholm plant network"

  def test_from_the_register_to_a_sheet_and_back
    demo
    visit "/"
    assert_css "h1", text: "Tarnwater"
    assert_css "tbody tr", count: 28
    click_link PLANT
    assert_css "#layer-things > g", minimum: 12
    assert_css ".band.lit", text: "Logical"
    find(".rail summary", text: "Concept").click
    click_link "Work orders"
    assert_css "#layer-things > g", text: "Technician"
    find(".rail-home").click
    assert_css "h2", text: "Drawing register"
  end

  def test_a_statement_shows_on_the_sheet_in_the_register_and_in_the_findings
    open_sheet(demo, PLANT)
    assert_css "#layer-things > g", text: "scada-01"
    say "server sampler"
    assert_css "#layer-things > g", text: "sampler"
    assert_no_css ".finding", text: "sampler"
    say "sampler on Plant"
    assert_css ".finding", text: "sampler has no address on Plant"
    assert_css "#register tbody tr", text: "sampler"
    say "sampler on Plant at .31"
    assert_css ".finding", text: "10.20.4.31 is used twice", count: 2
    assert_no_css ".finding", text: "sampler has no address"
    assert_css "#register tbody tr", text: "10.20.4.31", minimum: 3
  end

  def test_a_statement_that_is_not_understood_says_why_and_comes_back_to_be_mended
    expect_refusals
    open_sheet(demo, PLANT)
    fill_in "statement", with: "historian on Plnt"
    assert_css "#hint", text: "did you mean"
    find_field("statement").send_keys(:enter, "server next")
    assert_css "#refused", text: "is not understood here"
    assert_field "statement", with: "server next"
    within("#refused") { click_button "Mend" }
    assert_field "statement", with: "historian on Plnt"
    assert_no_css "#refused"
    find_field("statement").send_keys(:enter)
    within("#refused") { click_button "Drop" }
    assert_no_css "#refused"
  end

  def test_names_are_completed_and_the_next_step_is_told
    open_sheet(demo, PLANT)
    fill_in "statement", with: "historian on Pl"
    find_field("statement").send_keys(:tab)
    assert_field "statement", with: "historian on Plant "
    find_field("statement").send_keys("at .77")
    assert_css "#hint", text: "10.20.4.77 is free"
  end

  def test_a_thing_is_dragged_stays_and_takes_its_lines_along
    project = demo
    open_sheet(project, PLANT)
    before = place(thing("desk-03"))
    drag(thing("desk-03"), 0, 60)
    assert_css "#history button[title*='moved desk-03']"
    assert_in_delta before["y"] + 60, place(thing("desk-03"))["y"], 8, "where it was let go, or in line with a neighbour"
    open_sheet(project, PLANT)
    assert_css "#layer-things > g", text: "desk-03"
    set = model_of(project)
    sheet = sheet_of(project, PLANT)
    desk = set.named("desk-03").first
    line = set.relations_of(desk.id, "attachment").first
    box = set.placement(sheet.id, desk.id).box
    assert box.grow(1).overlap?(
      Basalt::Layout::Box.new(x: set.placement(sheet.id, line.id).route["points"][0][0], y: box.y, w: 0.5, h: 0.5)
    )
  end

  def test_a_repair_clears_its_finding_and_can_be_undone_and_done_again
    open_sheet(demo, PLANT)
    click_button "Give plc-08 .32"
    assert_no_css ".finding", text: "is used twice"
    assert_css "#layer-labels", text: ".32"
    click_button "Undo"
    assert_css ".finding", text: "10.20.4.31 is used twice"
    click_button "Redo"
    assert_no_css ".finding", text: "is used twice"
    find("#viewport").send_keys([:control, "z"])
    assert_css ".finding", text: "10.20.4.31 is used twice"
  end

  def test_selecting_anywhere_selects_everywhere
    open_sheet(demo, PLANT)
    thing("historian").click
    assert_css "#facts h2", text: "historian"
    assert_css "#facts", text: "10.20.4.20, 10.20.6.20"
    click_button "Devices"
    # The addresses name it too, until the table of devices is there.
    assert_css "#register th", text: "role"
    find("#register td", text: "plc-07", match: :first).click
    assert_css "#facts h2", text: "plc-07"
    assert_css "#layer-things > g.chosen", text: "plc-07"
    find(".finding-title", text: "core-01 has no address").click
    assert_css "#facts h2", text: "core-01 – Plant"
    click_button "Show what is cut off", match: :first
    assert_css "#layer-things > g.lit-up", minimum: 3
  end

  def test_facts_are_edited_in_the_margin_and_bad_ones_are_refused
    open_sheet(demo, PLANT)
    find("#register td", text: "core-01", match: :first).click
    assert_css "#facts h2", text: "core-01 – Plant"
    fill_in "fact-address", with: ".9\t"
    assert_css "#register tr", text: "10.20.4.9"
    assert_no_css ".finding", text: "core-01 has no address"
    expect_refusals
    fill_in "fact-address", with: "10.20.4.999\t"
    assert_css "#refused", text: "is not an address"
    assert_css "#fact-address[aria-invalid]"
    assert_field "fact-address", with: "10.20.4.999"
    assert_css "#register tr", text: "10.20.4.9"
  end

  def test_the_sheet_is_read_as_sentences
    open_sheet(demo, PLANT)
    click_link "Reading"
    assert_css ".reading li", text: "historian is on Plant at 10.20.4.20"
    find(".sentence", text: "controller plc-08 planned").click
    assert_css "#facts h2", text: "plc-08"
    say "remove label-01"
    assert_no_css ".reading li", text: "label-01"
  end

  def test_tidy_is_one_step_and_undone
    project = demo
    open_sheet(project, PLANT)
    before = place(thing("fw-01"))
    drag(thing("fw-01"), 90, 30)
    assert_css "#history button[title*='moved fw-01']"
    click_button "Tidy"
    assert_css "#answer", text: "Tidied"
    assert_in_delta before["x"], place(thing("fw-01"))["x"], 3
    click_button "Undo"
    assert_css "#answer", text: "Undone: tidied"
    refute_in_delta before["x"], place(thing("fw-01"))["x"], 30
  end

  def test_an_empty_sheet_teaches_and_takes_its_first_statement
    project = project("project Tarnwater\nsheet Ferncleugh: logical network")
    open_sheet(project, "Ferncleugh")
    assert_css "#teach", text: "Three statements to try"
    click_button "router edge-01"
    find_field("statement").send_keys(:enter)
    assert_css "#layer-things > g", text: "edge-01"
    assert_no_css "#teach"
    find_field("statement").send_keys("/")
    find_field("statement").send_keys("n")
    assert_field "statement", with: "subnet "
  end

  def test_pan_zoom_and_fit
    open_sheet(demo, PLANT)
    before = place(thing("fw-01"))
    click_button "Larger"
    assert_operator place(thing("fw-01"))["w"], :>, before["w"]
    click_button "Fit"
    assert_in_delta before["w"], place(thing("fw-01"))["w"], 2
  end

  def test_text_from_people_is_never_markup
    project =
      project(
        "project P\nsheet S: logical network\nserver \"<img src=x onerror=alert(1)>\"\nnote on \"<img src=x onerror=alert(1)>\": " \
        "</title><script>x()</script>"
      )
    open_sheet(project, "S")
    assert_css "#layer-things > g", text: "<img src"
    assert_no_css "img[src=x]", visible: :all
    visit "#{page.current_path}/reading"
    assert_css ".reading li", text: "<script>x()</script>"
  end
end
