# frozen_string_literal: true

require_relative "../support/browser_helper"

# Components, use cases and classes as people draw and fill them in, who wait for nothing.
class SoftwareTest < Minitest::Test
  include BrowserHelper

  # @return [Array<String>] the whole project in sentences
  def reading = Basalt::Statements::Unparser.new(model_of(@project)).project.split("\n")

  def test_features_are_typed_as_lines_in_the_box
    @project = project("project P\nsheet S: classes\nclass Alarm\nclass Person")
    open_sheet(@project, "S")
    latency(0.06)
    thing("Alarm").click
    page.send_keys("r")
    assert_css "#part-line:not([hidden])"
    type "+level: String = low\n-raisedAt: Time [0..1]\n+acknowledge(by: Person): Boolean\n", every: 0.08
    type "\e"
    assert_includes reading, "Alarm has +level: String = low, -raisedAt: Time [0..1]"
    assert_includes reading, "Alarm can +acknowledge(by: Person): Boolean"
    page.driver.browser.action.double_click(find("#layer-things [data-part]", text: "raisedAt").native).perform
    assert_field "The row as text", with: "-raisedAt: Time [0..1]"
    type "-raisedAt: Time [1..0]"
    assert_css "#part-line p", text: /multiplicity such as/
    type "\e"
    assert_includes reading, "Alarm has +level: String = low, -raisedAt: Time [0..1]", "what was left alone stays"
    thing("Alarm").click
    assert_css "#facts h2", text: "Features"
    assert_accessible "a class with its features"
    within("#facts") { click_button "+level: String = low: enumeration" }
    assert_css "#layer-things", text: "«enumeration»"
    assert_includes reading, "Alarm has +level: Level = low, -raisedAt: Time [0..1]"
    find("#viewport").send_keys([:control, "z"])
    assert_no_css "#layer-things", text: "«enumeration»"
  end

  LINES = %w[association aggregation composition generalisation realisation dependency].freeze

  def test_the_six_kinds_of_line_are_drawn_from_edge_to_edge
    named = LINES.to_h { |kind| [kind, "For#{kind[0, 4].capitalize}"] }
    @project = project("project P\nsheet S: classes\nclass Base\n#{named.values.map { |name| "class #{name}" }.join("\n")}")
    open_sheet(@project, "S")
    latency(0.06)
    LINES.each do |kind|
      from_edge(thing(named[kind]), thing("Base"))
      click_button(kind.match?(/\A[aeiou]/) ? "an #{kind}" : "a #{kind}")
      assert_css "#layer-lines .k-#{kind}", visible: :all
    end
    set = model_of(@project)
    drawn = set.of_kind(*LINES).map { |line| [line.kind, *line.endpoints.map { |id| set.element(id).name }] }
    assert_equal named.map { |kind, name| [kind, name, "Base"] }.sort, drawn.sort
  end

  KNOWN = "project P\nsheet C: context\nsystem Desk\nCaller gives report to Desk\nRepair crew gives answer to Desk\n" \
          "sheet E: entities\nentity Crew\nsheet U: use cases, about Desk\nsystem Desk"

  def test_open_questions_fill_the_sheet
    @project = project(KNOWN)
    open_sheet(@project, "U")
    latency(0.06)
    assert_css "h2", text: "Open questions 9"
    find_field("What does Caller want of Desk?").click
    type "Report a leak\nSend the repair report\n", every: 0.09
    find_field("Who creates Crew?").click
    type "Duty Manager: Enter crew\n", every: 0.09
    assert_css "h2", text: "Open questions 6", wait: 15
    within(find(".questions li", text: "Who deletes Crew?")) do
      find("summary").click
      find_field("Why nobody").click
    end
    type "they are kept\n", every: 0.09
    assert_css "h2", text: "Open questions 5", wait: 15
    said = reading
    ["Caller starts Report a leak", "Repair crew starts Send the repair report", "Duty Manager takes part in Enter crew",
     "Enter crew creates Crew", "in Desk nobody deletes Crew because they are kept"].each { |line| assert_includes said, line }
    assert_accessible "open questions"
  end

  def test_the_matrix_is_turned_faster_than_the_server_answers
    @project = project("project P\nsheet U: use cases\nactor A\nactor B\nuse case Enter it\nuse case Find it\nA starts Find it")
    open_sheet(@project, "U")
    click_link "Who takes part"
    latency(0.3)
    find_button("A, Enter it: nothing").click
    find_button("A, Enter it: takes part").click
    find_button("A, Find it: starts").click
    page.driver.browser.action.send_keys(:arrow_down).perform
    page.driver.browser.action.send_keys(:enter).perform
    assert_button "B, Find it: takes part"
    assert_equal ["A starts Enter it", "B takes part in Find it"], reading.grep(/starts|takes part/)
    assert_button "A, Enter it: starts"
    assert_accessible "the matrix"
  end

  def test_what_may_be_done_is_typed_as_letters
    uses = "sheet U: use cases\nactor A\nuse case Enter it\nA starts Enter it"
    @project = project("project P\nsheet E: entities\nentity Crew\nentity Job\n#{uses}")
    open_sheet(@project, "U")
    click_link "Who may"
    latency(0.06)
    find_field("Enter it, Crew").click
    type "cr\tD\t", every: 0.09
    assert_css "section#face table:last-of-type td", text: "CR"
    assert_equal ["Enter it creates Crew", "Enter it reads Crew", "Enter it deletes Job"], reading.grep(/creates|reads|deletes/)
    assert_accessible "who may do what"
  end

  def test_what_happens_is_typed_line_by_line
    @project = project("project P\nsheet U: use cases\nuse case Send a crew\nuse case Call out")
    open_sheet(@project, "U")
    latency(0.06)
    thing("Send a crew").click
    find_field("What happens").click
    type "Operator: opens the job\nDesk: shows who is free\n2a when nobody is free -> 1\nOperator: sends one", every: 0.06
    thing("Call out").click
    thing("Send a crew").click
    assert_field "What happens",
                 with: "1 Operator: opens the job\n2 Desk: shows who is free\n2a when nobody is free -> 1\n3 Operator: sends one"
    assert_includes reading, "step 3 of Send a crew by Operator: sends one"
    assert_accessible "what happens"
  end

  USES = ["system Work Desk", "actor Operator", "use case Acknowledge alarm in Work Desk", "Operator starts Acknowledge alarm"].freeze
  CLASSES = ["class Alarm", "enumeration Severity: low, high", "Alarm has +severity: Severity", "Alarm can +acknowledge()",
             "Alarm comes from Acknowledge alarm"].freeze

  # From nothing to a use case and the classes that it needs, with the statement line alone.
  def test_a_new_user_comes_to_a_use_case_and_classes_that_agree
    visit "/projects"
    fill_in "New project", with: "Desk"
    click_button "Open it"
    assert_css "h1", text: "Desk"
    @project = Store::Project.find_by!(name: "Desk")
    begin_sheet("What for", "use cases")
    USES.each { |line| say(line) }
    begin_sheet("What of", "classes")
    CLASSES.each { |line| say(line) }
    assert_css "#counts", text: "clear"
    assert_includes reading, "Alarm comes from Acknowledge alarm"
  end

  def begin_sheet(name, notation)
    visit "/projects/#{@project.id}"
    fill_in "Title", with: name
    select notation, from: "notation"
    click_button "Open it"
    assert_css "#sheet-page"
  end
end
