# frozen_string_literal: true

require_relative "../support/browser_helper"

# What somebody does who builds by walking: from a brief to parts, journeys played, a decision with what comes of it.
class JourneysBrowserTest < Minitest::Test
  include BrowserHelper

  BRIEF = <<~TEXT
    project Tarnwater
    sheet Brief: requirements
    requirement R1: A caller can report a leak
    requirement R2: The caller is told when it is repaired
    sheet Parts: components
    component Caller app
  TEXT

  def survey = Basalt::Journeys::Survey.of(model_of(@project))

  def test_an_architecture_is_built_by_walking_until_the_brief_is_covered
    @project = project(BRIEF)
    open_sheet(@project, "Parts")
    latency(0.06)
    within("form[aria-label='Begin a journey']") do
      find("input[name=name]").click
      type("Report a leak")
      press(:tab)
      type("Caller")
      press(:enter)
    end
    find("#journey-steps").click
    type("Caller app to Report service: submit report, meets R1\nReport service to Reports: keep it, writes Reports\n" \
         "Report service to Caller app: it is repaired, reads Reports by caller, meets R2", every: 0.02)
    press(:tab)
    2.times { find("form[aria-label^='Make ']", match: :first).then { |form| made(form) } }
    2.times { find("form[aria-label^='Join ']", match: :first).then { |form| made(form) } }
    assert_no_selector "h2", text: "Not there yet"
    settled
    steps = survey.journeys.first.steps
    assert_equal([1, 1, 1], steps.map { |step| step.lines.length })
    click_paper(20, 250)
    find(".finding", text: "Reports cannot be asked by caller").click_button("Let it be asked by caller")
    assert_no_selector ".finding", text: "cannot be asked"
    settled
    coverage = Basalt::Brief::Coverage.new(model_of(@project))
    assert_empty coverage.unmet
    assert_empty coverage.outside
    assert_accessible "a sheet on which somebody walks"
  end

  def made(form)
    label = form["aria-label"]
    form.find("button").click
    assert_no_selector "form[aria-label='#{label}']"
  end

  def test_two_journeys_are_played_and_a_step_is_altered_on_the_way
    @project = project("#{BRIEF}component Desk\ncomponent Book\nCaller app depends on Desk\nDesk depends on Book\njourney Report\n" \
                       "step 1 of Report: Caller app to Desk: report it\nstep 2 of Report: Desk to Book: keep it\njourney Ask\n" \
                       "step 1 of Ask: Caller app to Desk: ask")
    open_sheet(@project, "Parts")
    latency(0.06)
    press("w")
    assert_selector "#walking g", count: 3
    press(:arrow_right, :arrow_right)
    assert_text "Report, step 2 (2 of 2): Desk to Book: keep it"
    assert_selector "#layer-things g.faint", text: "Caller app"
    assert_no_selector "#layer-things g.faint", text: "Book"
    uncheck "Ask"
    assert_selector "#walking g", count: 2
    press(:escape)
    assert_no_selector "#walking g"
    click_button "Steps of Report"
    find("#journey-steps").click
    chord(:control, :end)
    type("\nBook to Desk: it is kept")
    press(:tab)
    assert_text "3 Book to Desk: it is kept"
    press(:escape)
    click_paper(20, 250)
    press("w", :end)
    assert_text "Report, step 3"
    settled
    assert_equal %w[1 2 3], survey.journeys.first.steps.map(&:number)
  end

  def test_a_decision_is_made_shown_and_overtaken
    @project = project("#{BRIEF}component Book\nCaller app depends on Book")
    open_sheet(@project, "Parts")
    latency(0.06)
    thing("Book").click
    find("summary", text: "Decide something about it").click
    within("form[aria-label='Decide something about it']") do
      find("input[name=choice]").click
      type("One book for all districts")
      press(:tab)
      type("callers do not know theirs")
      press(:enter)
    end
    assert_text "Decided"
    click_paper(20, 250)
    click_button "Show what was decided"
    assert_selector "#layer-things g", text: "D1"
    say("component Book, stereotype archive")
    find(".finding", text: "Book is otherwise than when D1 was decided").click_button("It still holds")
    assert_no_selector ".finding", text: "is otherwise"
    say("remove Book")
    settled
    assert_equal "Book", model_of(@project).of_kind("decision").first["gone"]
    visit "/projects/#{@project.id}/decisions"
    assert_text "Once about Book, which went since"
  end
end
