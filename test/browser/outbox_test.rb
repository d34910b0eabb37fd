# frozen_string_literal: true

require_relative "../support/browser_helper"

# What is done while the server cannot be reached waits, is told of, survives a reload, and is done
# once; a session that ended is begun anew.
class OutboxTest < Minitest::Test
  include BrowserHelper

  def setup
    super
    @project = project("project P\nsheet S: logical network\nserver old")
    open_sheet(@project, "S")
  end

  def names = model_of(@project).of_kind("device").map(&:name)

  def test_what_waits_is_told_and_kept_over_a_reload
    SERVED.restart(600)
    press("/")
    type "server one\nserver two\nrename one to first\n", every: 0.02
    assert_css "#waiting", text: "3 acts wait for the server"
    SERVED.restart(0)
    page.execute_script("window.onbeforeunload = null")
    page.driver.browser.navigate.refresh
    settled
    assert_equal %w[old first two], names
    assert_css "#layer-things > g", text: "first"
    assert_no_css "#refused .refusal"
  end

  def test_a_session_that_ended_is_begun_anew
    SERVED.renew(secret: "1" * 64)
    press("/")
    type "server one\nserver two\n", every: 0.02
    settled
    assert_equal %w[old one two], names
    assert_equal [403], SERVED.acts.map(&:status).uniq - [200]
    expect_refusals
  end

  def test_an_act_whose_answer_was_lost_is_done_once
    SERVED.trouble(:loses, :loses)
    press("/")
    type "server one\n", every: 0.02
    settled
    assert_equal %w[old one], names
    assert_css "#layer-things > g", text: "one"
    assert_equal 1, Store::JournalEntry.where(project_id: @project.id).where("said LIKE 'said: server one%'").count
  end

  def test_what_is_refused_is_told_and_disturbs_nothing_that_follows
    expect_refusals
    find("button[data-noun='router']").click
    at = place(find("#viewport"))
    page.driver.browser.action.move_to_location(at["x"] + 60, at["y"] + 90).click.perform
    type "r1\nr1\nr2\n\e", every: 0.02
    settled
    assert_equal %w[old r1 r2], names
    assert_css "#refused .refusal", text: "there is a router called “r1” already"
    assert_css "#refused .refusal", count: 1
  end

  def test_a_refusal_and_the_choices_stand_under_each_other
    expect_refusals
    press("/")
    type "server old on Nowhere\nold o", every: 0.02
    assert_css "#refused .refusal", text: "Nowhere"
    assert_css "#completion [role=option]"
    refusal, choices =
      %w[#refused #completion].map do |css|
        page.evaluate_script("(r => [r.top, r.bottom])(document.querySelector('#{css}').getBoundingClientRect())")
      end
    assert_operator refusal.last, :<=, choices.first
    beside =
      page.evaluate_script(
        "(r => document.elementFromPoint(r.right + 40, r.top + 6).className)(document.getElementById('completion').getBoundingClientRect())"
      )
    refute_equal "below-line", beside, "what lies beside the choices can be pointed at"
    within("#refused") { click_button "Drop" }
    assert_no_css "#refused"
  end

  def test_phrases_of_a_source_are_marked_once_though_the_server_is_away
    begin_source
    SERVED.restart(2)
    fill_in "Phrase", with: "leak"
    fill_in "Number", with: "R1"
    page.execute_script("document.getElementById('mark-at').value = 2")
    click_button "Mark it"
    assert_css "#waiting", text: "for the server"
    settled
    assert_equal(["leak"], model_of(@project).of_kind("phrase").map { |phrase| phrase["quote"] })
    assert_css "mark", text: "leak"
    SERVED.trouble(:loses)
    click_button "Strike the mark at leak"
    settled
    assert_empty model_of(@project).of_kind("phrase")
    assert_no_css "mark"
    assert_no_css "#refused .refusal", visible: :all
  end

  def begin_source
    visit "/projects/#{@project.id}/sources"
    fill_in "Title", with: "A call"
    fill_in "Text", with: "A leak is reported by a caller."
    click_button "Take it in"
    assert_css "#source-text-body", text: "A leak is reported"
  end

  def test_a_form_that_leads_on_is_sent_once
    visit "/projects/#{@project.id}"
    before = Store::JournalEntry.where(project_id: @project.id).count
    page.execute_script(<<~JS)
      const form = document.querySelector("form[action$='/sheets']");
      form.elements.name.value = "Another";
      form.querySelector("button").click();
      form.querySelector("button").click();
    JS
    assert_css ".where", text: "Another"
    assert_equal before + 1, Store::JournalEntry.where(project_id: @project.id).count
  end
end
