# frozen_string_literal: true

require_relative "../support/browser_helper"

# Drawing directly on a sheet, with the pointer and with the keys that stand for it.
class DrawingTest < Minitest::Test
  include BrowserHelper

  PLANT = "Greyholm plant network"

  def empty_sheet
    @project = project("project Tarnwater\nsheet Ferncleugh: logical network")
    open_sheet(@project, "Ferncleugh")
  end

  def test_things_are_placed_with_clicks_named_at_once_and_the_next_beside_them
    empty_sheet
    click_button "router r"
    click_paper(300, 150)
    type "edge-01\nedge-02\n"
    assert_field "name", with: ""
    type "\e"
    settled
    assert_equal %w[edge-01 edge-02], placed_names
    boxes = %w[edge-01 edge-02].map { |name| box_of(name) }
    assert_equal boxes[0].y, boxes[1].y
    assert_operator boxes[1].x, :>, boxes[0].right
    assert_no_css "body.placing"
  end

  def test_two_things_are_joined_by_a_drag_from_the_edge
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nsubnet Plant 10.1.0.0/24\nswitch core-01")
    open_sheet(@project, "S")
    from_edge(thing("edge-01"), thing("Plant"))
    assert_css "#facts h2", text: "edge-01 – Plant"
    from_edge(thing("edge-01"), thing("core-01"))
    assert_css "#facts h2", text: "edge-01 – core-01"
    assert_equal %w[attachment link], model_of(@project).relations_of(id_of("edge-01")).map(&:kind)
    drag_from_edge(thing("core-01"), 60, 90)
    assert_field "statement", with: "core-01 to "
  end

  def test_the_key_joins_and_what_cannot_be_joined_is_refused
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nsubnet Plant 10.1.0.0/24\nsubnet Office 10.2.0.0/24")
    open_sheet(@project, "S")
    thing("edge-01").click
    page.send_keys("l")
    assert_css "body.joining"
    thing("Plant").click
    assert_css "#facts h2", text: "edge-01 – Plant"
    thing("Plant").click
    page.send_keys("l")
    expect_refusals
    thing("Office").click
    assert_css "#refused", text: "Nothing of a logical network sheet joins Plant and Office"
  end

  def test_several_are_selected_moved_put_in_line_and_spread
    open_sheet(demo_project, PLANT)
    thing("desk-03").click
    thing("historian").click(:shift)
    thing("scada-01").click(:shift)
    assert_css "#facts h2", text: "3 things selected"
    page.send_keys(%i[shift down])
    assert_css "#history button[title*='moved 3 things']"
    before = box_of("desk-03").y
    click_button "bottom"
    assert_css "#history button[title*='in line: bottom']"
    assert_equal 1, %w[desk-03 historian scada-01].map { |name| box_of(name).bottom }.uniq.length
    page.send_keys([:control, "z"])
    assert_css "#answer", text: "Undone: put 3 things in line: bottom"
    assert_equal before, box_of("desk-03").y
    page.send_keys("a")
    assert_no_css "#facts h2", text: "3 things selected"
    assert_operator find("#facts h2", match: :first).text[/\d+/].to_i, :>, 8
  end

  # What is dragged snaps to what stands near its line, however near the sheet is looked at, and is kept when the server comes back.
  def test_a_drag_snaps_in_line_at_any_scale_and_waits_for_a_server_that_is_away
    @project = project("project Tarnwater\nsheet Ferncleugh: logical network\nserver one\nserver two")
    open_sheet(@project, "Ferncleugh")
    assert_equal box_of("one").y, box_of("two").y
    { "Fit" => 0, "Larger" => 1.5 }.each do |view, away|
      click_button view, exact: true
      SERVED.restart(away) if away.positive?
      drag(thing("two"), 0, 150)
      assert_operator apart, :>, 60, view
      drag_nearly_back
      assert_in_delta 0, apart, 0.1, view
    end
    assert_equal 4, Store::JournalEntry.where(project_id: @project.id).where("said LIKE 'moved two%'").count
  end

  def apart = box_of("two").y - box_of("one").y

  # Four px short of the line, where a guide shows it.
  def drag_nearly_back
    scale = page.evaluate_script("new DOMMatrix(getComputedStyle(document.getElementById('paper')).transform).a")
    action = page.driver.browser.action
    action.move_to(thing("two").native).click_and_hold.move_by(0, -40).move_by(0, 44 - (apart * scale).round).perform
    assert_css "#guides > *"
    page.driver.browser.action.release.perform
    settled
  end

  def test_a_band_selects_and_what_is_connected_joins_the_selection
    open_sheet(demo_project, PLANT)
    thing("historian").click
    page.send_keys("c")
    assert_css "#facts h2", text: "selected"
    page.send_keys(:escape)
    assert_no_css "#layer-things > g.chosen"
    box = place(find("#viewport"))
    page
      .driver
      .browser
      .action
      .key_down(:shift)
      .move_to_location(box["x"] + 20, box["y"] + 60)
      .click_and_hold
      .move_by(500, 300)
      .release
      .key_up(:shift)
      .perform
    assert_css "#layer-things > g.chosen", minimum: 2
  end

  def test_a_line_is_bent_by_hand_keeps_its_way_and_is_released
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nswitch core-01\nedge-01 to core-01\nserver s1")
    open_sheet(@project, "S")
    line = model_of(@project).relations_of(id_of("edge-01")).first
    page.execute_script("document.querySelector('#layer-lines > g').dispatchEvent(new MouseEvent('click', {bubbles: true}))")
    drag(find("#handles .handle.across, #handles .handle.down", match: :first), 60, 60)
    assert_css "#history button[title*='drew the way']"
    assert route_of(line).fetch("kept")
    bends = route_of(line)["points"].length
    assert_operator bends, :>, 2
    drag(thing("core-01"), 0, 40)
    assert_css "#history button[title*='moved core-01']"
    assert_equal bends, route_of(line)["points"].length
    page.execute_script("document.querySelector('#layer-lines > g').dispatchEvent(new MouseEvent('click', {bubbles: true}))")
    click_button "Let Basalt find its way again"
    assert_css "#history button[title*='released the way']"
    refute route_of(line)["kept"]
  end

  def test_an_end_of_a_line_is_joined_elsewhere
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nswitch core-01\nswitch core-02\nedge-01 to core-01")
    open_sheet(@project, "S")
    page.execute_script("document.querySelector('#layer-lines > g').dispatchEvent(new MouseEvent('click', {bubbles: true}))")
    page
      .driver
      .browser
      .action
      .move_to(all("#handles .handle.end").last.native)
      .click_and_hold
      .move_to(thing("core-02").native)
      .release
      .perform
    assert_css "#facts h2", text: "edge-01 – core-02"
    assert_css "#history button[title*='joined']"
  end

  def test_copies_duplicates_and_pastes
    project = demo_project
    open_sheet(project, PLANT)
    thing("plc-07").click
    page.send_keys("d")
    assert_css "#layer-things > g.chosen", text: "plc-09"
    thing("historian").click
    page.send_keys([:control, "c"])
    assert_css "#answer", text: "Copied"
    open_sheet(project, "Wide-area network")
    find("#viewport").click
    page.send_keys([:control, "v"])
    click_button "Show the same here"
    assert_css "#layer-things > g", text: "historian"
    assert_equal 1, model_of(project).named("historian").length
    page.send_keys([:control, "v"])
    click_button "Make new ones"
    assert_css "#layer-things > g", text: "historian-2"
  end

  def test_taking_off_and_deleting_are_two_acts
    project = demo_project
    open_sheet(project, PLANT)
    thing("desk-03").click
    page.send_keys(:delete)
    assert_no_css "#layer-things > g", text: "desk-03"
    assert_equal 1, model_of(project).named("desk-03").length
    page.send_keys([:control, "z"])
    assert_css "#layer-things > g", text: "desk-03"
    thing("edge-01").click
    page.send_keys(%i[shift delete])
    assert_css "#answer", text: "also stands on"
    click_button "Delete it from the model"
    assert_no_css "#layer-things > g", text: "edge-01"
    assert_empty model_of(project).named("edge-01")
  end

  def test_the_sheet_is_travelled_and_named_without_a_mouse
    open_sheet(demo_project, PLANT)
    find("#viewport").send_keys(%i[alt right])
    assert_css "#layer-things > g.chosen", count: 1
    first = find("#facts h2", match: :first).text
    page.send_keys(%i[alt down])
    assert_no_css "#facts h2", text: first, exact_text: true
    page.send_keys(%i[alt left])
    page.send_keys(:enter)
    find("#inplace input[name=name]").send_keys("renamed-01", :enter)
    assert_css "#layer-things > g", text: "renamed-01"
  end

  def test_an_emphasis_has_a_hatch_and_its_name_in_the_legend
    open_sheet(demo_project, PLANT)
    thing("historian").click
    fill_in "emphasis", with: "phase 2"
    find_field("emphasis").send_keys(:enter)
    assert_css "#layer-furniture", text: "phase 2", visible: :all
    assert_css "#layer-things > g .p-hatch"
    click_link "Reading"
    assert_css ".reading li", text: "historian is emphasised as phase 2"
  end

  def test_dropping_into_a_boundary_makes_a_member_and_it_collapses_and_opens
    @project = project("project P\nsheet S: logical network\nsite Here\nserver a in Here\nserver b")
    open_sheet(@project, "S")
    click_button "Tidy"
    assert_css "#answer", text: /tidy already|Tidied/i
    standing do
      page
        .driver
        .browser
        .action
        .move_to(thing("b").native)
        .click_and_hold
        .move_by(5, 5)
        .key_down(:alt)
        .move_to(find("#layer-boundaries > g", text: "Here").native, 40, 10)
        .release
        .key_up(:alt)
        .perform
    end
    assert_css "#history button[title*='moved b']"
    assert_equal id_of("Here"), set.element(id_of("b")).container_id
    find("#layer-boundaries text", text: "Here").click
    click_button "Collapse it"
    assert_css "#layer-things > g", text: "site, 2 inside"
    assert_no_css "#layer-things > g", text: /\Ab/
    page.send_keys("o")
    assert_css "#layer-boundaries > g", text: "Here"
    before = box_of("a")
    drag(find("#layer-boundaries text", text: "Here"), 0, 50)
    assert_css "#history button[title*='moved']"
    assert_operator box_of("a").y, :>, before.y
  end

  def test_a_chip_clicked_again_stops_and_what_is_armed_keeps_lines_from_being_drawn_no_more
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nsubnet Plant 10.1.0.0/24")
    open_sheet(@project, "S")
    click_button "server v"
    from_edge(thing("edge-01"), thing("Plant"))
    assert_css "#facts h2", text: "edge-01 – Plant"
    assert_css "body.placing"
    click_button "server v"
    assert_no_css "body.placing"
    click_paper(300, 300)
    assert_equal %w[edge-01 Plant], placed_names
  end

  def test_what_is_typed_before_the_form_is_there_goes_into_it
    open_sheet(demo_project, PLANT)
    thing("desk-03").click
    assert_css "#facts h2", text: "desk-03"
    page.driver.browser.action.send_keys(:enter, "d", "e", "s", "k", "-", "9", :enter).perform
    assert_css "#facts h2", text: "desk-9"
    assert_equal 1, set.named("desk-9").length
    assert_empty set.named("desk-04")
  end

  def test_joining_by_keys_alone
    @project = project("project P\nsheet S: logical network\nrouter edge-01\nswitch core-01")
    open_sheet(@project, "S")
    page.send_keys(%i[alt right], "l", :enter)
    assert_css "#answer", text: "with the arrows first"
    direction = box_of("core-01").x > box_of("edge-01").right ? :right : :down
    selected = find("#facts h2", text: /-01/, match: :first).text[/\S+/]
    page.send_keys(
      { right: { "edge-01" => :right, "core-01" => :left }, down: { "edge-01" => :down, "core-01" => :up } }[direction][selected],
      :enter
    )
    assert_css "#layer-lines > g", visible: :all
    page.send_keys("2")
    assert page.evaluate_script("document.getElementById('register').contains(document.activeElement)")
    page.send_keys(:escape, "1")
    assert_css "#sheet-page.register-closed"
  end

  def test_a_sheet_is_laid_out_in_another_style_and_keeps_to_it
    open_sheet(demo_project, PLANT)
    find("#layout-styles summary").click
    click_button "in rows"
    assert_css "#answer", text: "Tidied"
    assert_css "#layout-styles-list [aria-pressed=true]", visible: :all
    sheet = set.sheet_list.find { |one| one.name == PLANT }
    assert_equal "rows", sheet.layout_style
    tops = set.things_on(sheet.id).map { |thing| set.placement(sheet.id, thing.id).y }
    assert_operator tops.uniq.length, :<=, 5
    page.send_keys([:control, "z"])
    assert_css "#answer", text: "Undone: laid out #{PLANT} in rows"
  end

  # An outsider at both sides: shown once more, joined with the pointer, moved by itself, taken off; the other stays where it is.
  def test_what_stands_once_more_is_joined_moved_and_taken_off_by_itself
    @project =
      project("project P\nsheet S: data flow\nprocess Sort\nprocess Send\noutsider Caller\nCaller gives note to Sort\nSend gives answer " \
              "to Caller")
    open_sheet(@project, "S")
    latency(0.06)
    thing("Caller").click
    click_button "Show it once more"
    assert_css "#layer-things > g[data-of]", count: 1
    further = find("#layer-things > g[data-of]")
    key = further["data-element"]
    find("#layer-labels > g", text: "answer").click
    handle = find(".handle.end[data-end='1']")
    page.driver.browser.action.click_and_hold(handle.native).move_to(further.native).release.perform
    settled
    set = model_of(@project)
    sheet = set.sheet_list.first
    line = set.named("answer").first
    assert_equal({ "to" => key }, set.placement(sheet.id, line.id).attached)
    first = set.placement(sheet.id, set.named("Caller").first.id)
    drag(find("#layer-things > g[data-of]"), 160, 40)
    settled
    set = model_of(@project)
    assert_equal first, set.placement(sheet.id, set.named("Caller").first.id)
    assert_operator set.placement(sheet.id, key).x, :>, first.x
    find("#layer-things > g[data-of]").click
    click_button "Take off the sheet"
    assert_no_css "#layer-things > g[data-of]"
    settled
    assert_equal 1, model_of(@project).placements.by(:element, set.named("Caller").first.id).length
    find("#viewport").send_keys([:control, "z"])
    assert_css "#layer-things > g[data-of]", count: 1
  end

  def test_what_is_selected_becomes_a_group_that_is_drawn_around_it
    @project = project("project P\nsheet S: logical network\nserver a\nserver b\nserver c\na to b\nb to c")
    open_sheet(@project, "S")
    latency(0.06)
    thing("a").click
    page.driver.browser.action.key_down(:shift).click(thing("b").native).key_up(:shift).perform
    fill_in "group", with: "Night shift\n"
    assert_css "#layer-labels > g", text: "Night shift"
    find("#layer-labels > g.k-group text", text: "Night shift", match: :first).click
    assert_css "#facts h2", text: "Night shift"
    within("#facts") { assert_css "li", count: 2 }
    find("#facts button", text: "a", exact_text: true).click
    click_button "Take a out of Night shift"
    settled
    set = model_of(@project)
    assert_equal(["b"], set.of_kind("membership").map { |one| set.element(one.target("member")).name })
    assert_accessible "a sheet with a group"
  end

  private

  def demo_project = @project = demo
  def set = model_of(@project)
  def id_of(name) = set.named(name).first.id
  def box_of(name) = set.placements.by(:element, id_of(name)).first.box
  def route_of(line) = set.placements.by(:element, line.id).first.route
  def placed_names = set.things_on(set.sheet_list.first.id).map(&:name)
end
