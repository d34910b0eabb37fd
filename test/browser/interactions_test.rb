# frozen_string_literal: true

require_relative "../support/browser_helper"

# Interactions as people type and draw them, who wait for nothing.
class InteractionsBrowserTest < Minitest::Test
  include BrowserHelper

  LINES = [
    "Operator asks console: acknowledge(alarm)", "console itself: log(alarm)", "either when severity is high",
    "console tells pager: page(engineer)", "pager asks roster: who", "roster answers pager: name", "or when otherwise",
    "console answers Operator: noted", "end", "Operator asks console: list", "either when there are any", "console asks archive: find",
    "archive answers console: all", "or when otherwise", "console tells pager: quiet", "end", "console answers Operator: done",
    "pager tells Operator: bye"
  ].freeze

  def script = Basalt::Statements::Unparser.new(model_of(@project)).script(sheet_of(@project, "T").id).map { |_, line| line.strip }

  def height_of(text) =
    page.evaluate_script(<<~JS, text)
      (words => {
        const label = [...document.querySelectorAll('#layer-labels > g')].find(g => g.textContent.includes(words));
        const box = document.getElementById(`l${label.id.slice(1)}`).getBoundingClientRect();
        return Math.round(box.y + box.height / 2);
      })(arguments[0])
    JS

  def lifeline(name) = place(thing(name).find(".p-lifeline_grip", visible: :all))
  def action = page.driver.browser.action

  # Twelve messages with two alternatives, from nothing and by the keyboard alone.
  def test_from_nothing_to_an_interaction_by_the_keyboard
    @project = project("project P\nsheet T: sequence")
    open_sheet(@project, "T")
    latency(0.06)
    page.send_keys("/")
    type "#{LINES.join("\n")}\n", every: 0.03
    assert_equal LINES, script
    assert_css "#layer-boundaries > g", count: 2, visible: :all
    assert_accessible "an interaction"
  end

  # The same by pointer and keys: drawn from lifeline to lifeline, put between, answered with Tab, moved, wrapped, undone, played.
  def test_messages_are_drawn_put_between_moved_wrapped_and_played
    @project = project("project P\nsheet C: classes\nclass Console\nConsole can +look(from, to)\nsheet T: sequence\nparticipant O\n" \
                       "participant c of Console\nparticipant p\nO asks c: first\nO tells p: last")
    open_sheet(@project, "T")
    latency(0.06)
    y = height_of("first") + 12
    from, to = %w[O c].map { |name| lifeline(name) }
    action.move_to_location(from["x"] + 7, y).click_and_hold.move_by(10, 2).move_to_location(to["x"] + 7, y + 2).release.perform
    assert_field "statement", with: "O asks c: "
    assert_css "#completion [role=option]", text: "look(from, to)"
    type "look(a, b)\n"
    assert_equal ["O asks c: first", "O asks c: look(a, b)", "O tells p: last"], script
    type "\tok\n"
    assert_equal ["O asks c: first", "O asks c: look(a, b)", "c answers O: ok", "O tells p: last"], script
    type "\e"
    find("#layer-labels > g", text: "last").click
    assert_css "#facts button", text: "Earlier"
    press(:arrow_up)
    assert_equal "O tells p: last", script[2]
    fill_in "wrap-guard", with: "it is late"
    click_button "Put it around"
    assert_equal ["O asks c: look(a, b)", "either when it is late", "O tells p: last", "end", "c answers O: ok"], script.drop(1)
    chord(:control, "z")
    assert_equal 4, script.length
    press(:escape)
    click_button "Play Scenario 1"
    assert_css "#answer", text: "1 of 4: O asks c: first"
    press(:arrow_right, :arrow_right)
    assert_css "#answer", text: "3 of 4"
    assert_css ".step-now", minimum: 1, visible: :all
    press(:escape)
    assert_no_css "body.playing"
  end

  # A click in a gap says where the next lines go; a message that is dragged goes where it is let go.
  def test_a_gap_is_clicked_and_messages_are_dragged
    @project = project("project P\nsheet T: sequence\nA asks B: first\noptionally when x\nB answers A: second\nend\nA tells B: third")
    open_sheet(@project, "T")
    latency(0.06)
    line = lifeline("A")
    action.move_to_location(line["x"] + 40, height_of("second") + 10).click.perform
    assert page.evaluate_script("document.activeElement.id === 'statement'")
    type "B tells A: more\nend\nA tells B: after\n"
    assert_equal ["A asks B: first", "optionally when x", "B answers A: second", "B tells A: more", "end", "A tells B: after",
                  "A tells B: third"],
                 script
    type "\e"
    at = find("#layer-labels > g", text: "third")
    action.move_to(at.native).click_and_hold.move_by(0, -10).move_by(0, height_of("first") - height_of("third") - 12).release.perform
    assert_css "#history button[title*='drew the way']", visible: :all
    assert_equal "A tells B: third", script.first
    chord(:control, "z")
    assert_css "#answer", text: "Undone"
    assert_equal "A tells B: third", script.last
  end

  # Whoever takes part is placed by chip, the next where somebody clicks; L joins two, and what is said is typed at once.
  def test_participants_are_placed_by_chip_and_speak_by_key
    @project = project("project P\nsheet T: sequence\nparticipant O\nO itself: think")
    open_sheet(@project, "T")
    latency(0.06)
    click_button "participant"
    click_paper(760, 400)
    type "desk\n"
    click_paper(120, 400)
    type "crew\n"
    press(:escape, :escape)
    settled
    lanes = model_of(@project).of_kind("participant").sort_by { |one| Basalt::Change::Reorder.key(one) }.map(&:name)
    assert_equal %w[crew O desk], lanes
    find("#layer-things text", text: "crew").click
    press("l", :arrow_right, :enter)
    type "where\n"
    assert_equal ["O itself: think", "crew asks O: where"], script
  end

  def test_the_reading_is_edited_and_a_moved_line_is_a_move
    @project = project("project P\nsheet T: sequence\nA asks B: 1\noptionally when x\nB answers A: 2\nend\nA tells B: 3")
    open_sheet(@project, "T")
    before = model_of(@project).of_kind("message").find { |one| one.name == "3" }.id
    click_link "Reading"
    click_button "Edit as text"
    text = find("#reading-text").value
    find("#reading-text").set(text.sub("A tells B: 3", "").sub("A asks B: 1", "A tells B: 3\nA asks B: one"))
    click_button "Take it"
    assert_css ".reading", text: "A asks B: one"
    assert_equal ["A tells B: 3", "A asks B: one", "optionally when x", "B answers A: 2", "end"], script
    assert_equal before, model_of(@project).of_kind("message").find { |one| one.name == "3" }.id
  end
end
