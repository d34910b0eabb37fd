# frozen_string_literal: true

require_relative "../support/browser_helper"

# Findings let stand, the reading edited, ghosts of statements, the journal.
class FindingsTest < Minitest::Test
  include BrowserHelper

  PLANT = "Greyholm plant network"

  def setup
    super
    @project = demo
    open_sheet(@project, PLANT)
  end

  def finding(text) = find(".finding", text:)

  def test_a_finding_is_waived_with_a_reason_and_comes_back_when_its_cause_changes
    finding("core-01 has no address").find(".waive summary").click
    finding("core-01 has no address").fill_in("reason", with: "managed over its console")
    click_button "Waive"
    assert_no_css ".finding", text: "core-01 has no address"
    assert_css ".waived", text: "managed over its console"
    say "core-01 on Plant, planned"
    assert_css ".finding", text: "Was waived by analyst"
    say "core-01 on Plant at .9"
    assert_no_css ".finding", text: "core-01 has no address"
    finding("is used twice").find(".waive summary").click
    finding("is used twice").fill_in("reason", with: "the spare is off")
    click_button "Waive"
    assert_no_css "#counts .error"
    click_button "Take back"
    assert_css "#counts .error"
  end

  def test_a_repair_tells_what_it_would_alter
    find_button("Give plc-08 .32").hover
    assert_css ".would del", text: "plc-08 is on Plant at 10.20.4.31, planned"
    assert_css ".would ins", text: "plc-08 is on Plant at 10.20.4.32, planned"
    assert_css ".finding", text: "is used twice"
  end

  def test_the_reading_is_edited_as_text_and_what_is_not_understood_stays
    click_link "Reading"
    click_button "Edit as text"
    text = find_field("The reading as text").value
    edited =
      text
        .sub("storage historian", "storage annals")
        .sub(/^label-01 is on .*\n?/, "")
        .sub(/^fw-01 is on Plant.*$/, "wombat over the moon") + "\nserver sampler\nsampler on Plant at .77"
    fill_in "The reading as text", with: edited
    click_button "Take it in"
    assert_css ".refused-lines", text: "wombat"
    assert_css "#reading-marks .wrong", text: "wombat over the moon", visible: :all
    set = model_of(@project)
    assert_equal [1, 0], [set.named("annals").length, set.named("historian").length]
    assert_equal(["10.20.4.77"], set.relations_of(set.named("sampler").first.id).map { |line| line["address"] })
    assert_empty set.relations_of(set.named("label-01").first.id, "attachment")
    assert_equal 3, set.relations_of(set.named("fw-01").first.id, "attachment").length
    click_button "Leave it as it was"
    assert_css ".reading li", text: "annals is on Plant at 10.20.4.20"
    find(".faces a", text: "Drawing").click
    page.send_keys([:control, "z"])
    assert_css "#layer-things > g", text: "historian"
  end

  def test_a_statement_shows_as_a_ghost_before_it_is_taken
    fill_in "statement", with: "server sampler"
    assert_css "#ghost g", text: "sampler"
    assert_no_css "#layer-things > g", text: "sampler"
    find_field("statement").send_keys(:enter)
    assert_css "#layer-things > g", text: "sampler"
    assert_no_css "#ghost g"
  end

  def test_the_journal_tells_who_did_what
    say "server sampler"
    thing("sampler").click
    page.send_keys(:delete)
    assert_no_css "#layer-things > g", text: "sampler"
    click_button "Undo"
    assert_css "#layer-things > g", text: "sampler"
    click_link "Journal of this sheet" if page.has_link?("Journal of this sheet", wait: 1)
    visit "/projects/#{@project.id}/journal?sheet=#{sheet_of(@project, PLANT).id}"
    assert_css ".journal li", text: "analyst undid: took sampler off the sheet"
    assert_css ".journal li", text: "analyst said: server sampler"
    assert_accessible "journal"
  end

  def test_axe_finds_nothing_while_working
    thing("historian").click
    thing("fw-01").click(:shift)
    assert_css "#facts h2", text: "2 things selected"
    assert_accessible "several selected"
    thing("fw-01").double_click
    assert_css "#inplace input"
    assert_accessible "in place"
    visit "#{page.current_path}/reading"
    click_button "Edit as text"
    assert_css "#reading-text"
    assert_accessible "reading edited"
  end
end
