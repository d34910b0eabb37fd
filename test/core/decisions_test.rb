# frozen_string_literal: true

require_relative "../support/core_helper"

# Decisions: said, kept as records, shown at what they are about, and overtaken.
class DecisionsTest < Minitest::Test
  include CoreHelper

  D = Basalt::Decisions

  EVERYTHING = <<~TEXT
    project P
    sheet Why: decisions
    decision D1: Readings are kept 13 months because the regulator compares years
    decision D1, question "how long, and where?", status accepted, dated 2026-11-02, by "the desk", consequences "more: of it"
    option "keep a year" of D1, for "cheap; simple", against "nothing, to compare"
    option %<name>s of D1, against "it grows: fast, too"
    decision D2: One queue because "because" is said because it is so
    decision D3, choosing "a because b", because "no, reason", status proposed
    decision %<name>s
    decision D4: Old, status rejected, once about "what went; and more"
    D2 replaces D1
    sheet Parts: components
    component App
    component %<name>s
    component Other
    App depends on Other
    D1 concerns component %<name>s
    D2 concerns App depends on Other
    D3 concerns App which was otherwise
  TEXT

  def test_everything_comes_back_with_hostile_names
    ["Name", "a, b", "because", 'say "so"', "of D1", "concerns App", "x; y", "decision", "<b>&amp;", "D9: what"].each do |name|
      set = model(format(EVERYTHING, name: Statements::Quoting.quote(name)))
      assert_equal facts(set), facts(model(reading(set))), name
      assert_equal reading(set), reading(model(reading(set))), name
    end
  end

  def test_a_reading_is_edited
    set = model(format(EVERYTHING, name: "Name"))
    told = Statements::Unparser.new(set).reading(set.sheet_list.first.id).flatten(1).flat_map(&:last)
    altered = { "13 months because the regulator compares years" => "5 years because so", 'for "cheap; simple", ' => "" }
    after = told.map { |line| altered.reduce(line) { |text, (was, now)| text.sub(was, now) } }
    after = after.reject { |line| line.start_with?("option Name") || line.start_with?("D2 replaces") }
    patch = Statements::ReadingPatch.new(set, set.sheet_list.first.id, told, after)
    draft = patch.into(Change::Draft.new(set))
    assert_empty patch.refused
    assert_equal after, Statements::Unparser.new(draft).reading(set.sheet_list.first.id).flatten(1).flat_map(&:last)
  end

  def taken(text)
    set = Model::WorkingSet.new
    draft = Change::Draft.new(set)
    D::Intake.new(draft).take(D::Record.read(text))
    set.advance(draft.effect)
    set
  end

  def test_records_come_back
    set = model(format(EVERYTHING, name: "Name"))
    records = D::Record.all(set)
    again = taken(records)
    plain = ->(text) { text.gsub(/^Concerns: .*\n\n?/, "").squeeze("\n") }
    assert_equal plain.(records), plain.(D::Record.all(again))
    assert_equal facts_of(set), facts_of(again)
    again.advance(Change::Draft.new(again).tap { |draft| D::Intake.new(draft).take(D::Record.read(records)) }.effect)
    assert_equal facts_of(set), facts_of(again), "taken twice"
  end

  def facts_of(set)
    set.of_kind("decision").map do |one|
      options = set.parts_of(one.id).map { |part| [part.name, part.facts.sort] }
      [one.name, one.facts.except("gone").sort, options, D::About.earlier(set, one.id).map(&:name)]
    end
  end

  def test_records_of_others_are_read
    set = taken(<<~MARKDOWN)
      # 7. Use one queue

      Date: 2026-10-01

      ## Status

      Superseded by 8. Accepted

      ## Context and Problem Statement

      Floods come
      in bursts.

      ## Considered Options

      * one queue
      * **two queues**: against: nobody knows which

      ## Decision Outcome

      One queue between the two.

      ## Notes

      Nothing of this is kept.

      # 8. Use none

      ## Status
      Accepted, supersedes 7

      # What comes then
    MARKDOWN
    one, two, three = set.of_kind("decision")
    assert_equal [%w[D7 D8 D9], "Floods come in bursts.", "One queue between the two.", "2026-10-01"],
                 [[one, two, three].map(&:name), *one.facts.values_at("question", "choice", "dated")]
    assert_equal ["one queue", "two queues"], set.parts_of(one.id).map(&:name)
    assert_equal ["Use none", "What comes then"], [two["choice"], three["choice"]]
    assert_equal [two.id], D::About.replaced(set, one.id).map(&:id)
  end

  def test_what_is_no_record_is_refused_in_words
    { "nothing" => /no line begins a record/, "# D1: a\n\nDate: soon" => /line 1: a day is said as/,
      "# D1: a\n## Status\nAccepted, replaces D9" => /line 1: it replaces D9, which is not there/ }.each do |text, words|
      assert_match words, assert_raises(Mistake, text) { taken(text) }.message
    end
    set = model(format(EVERYTHING, name: "Name"))
    { "D1 replaces D2" => /D2 replaces D1 already/, "D1 replaces D1" => /itself/, "D1 concerns D1" => /not about itself/,
      "decision D1, dated 2026-02-30" => /a day is said as/ }.each do |line, words|
      assert_match words, assert_raises(Mistake, line) { say(set, "Parts", line) }.message
    end
  end

  def found(set, id) = findings(set).select { |one| one.id == id }

  def test_what_was_decided_about_is_looked_after
    set = model("sheet S: components\ncomponent A\ncomponent B\ndecision D1: One because it is\ndecision D2: Two\n" \
                "D1 concerns A\nD1 concerns B")
    messages = %w[decision-without-reason decided-about-nothing decision-overtaken].map { |id| found(set, id).map(&:message) }
    assert_equal [["Nobody said why D2 was decided so"], ["D2 is about nothing of the design"], []], messages
    renamed = act(set, Change::Set.new(id: set.named("A").first.id, fact: "name", value: "Aa"))
    assert_empty found(renamed, "decision-overtaken"), "it is the same thing"
    altered = act(renamed, Change::Set.new(id: renamed.named("Aa").first.id, fact: "stereotype", value: "new"))
    overtaken = found(altered, "decision-overtaken")
    assert_equal ["Aa is otherwise than when D1 was decided"], overtaken.map(&:message)
    assert_includes reading(altered), "D1 concerns Aa which was otherwise"
    held = act(altered, *overtaken.first.repair.changes)
    assert_empty found(held, "decision-overtaken")
    gone = act(held, Change::Remove.new(id: held.named("B").first.id))
    assert_equal ["D1 was about B, which went since"], found(gone, "decision-overtaken").map(&:message)
    assert_empty found(act(gone, *found(gone, "decision-overtaken").first.repair.changes), "decision-overtaken")
    one, two = gone.of_kind("decision").map(&:id)
    over = act(gone, Change::Add.new(kind: "replaces", ends: [["decision", two], ["earlier", one]]))
    assert_empty found(over, "decision-overtaken"), "it no longer stands"
  end

  def act(set, *changes)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(*changes)
    Families.settle(draft)
    set.advance(draft.effect)
  end

  def test_a_sheet_shows_what_was_decided_where_it_is_asked_to
    set = model(format(EVERYTHING, name: "Name"), tidy: true)
    sheet = set.sheet_list.last
    drawn = ->(on) { Drawing::SVG.layers(Drawing::Scene.new(on, sheet.id).items) }
    refute_match(/side_sign/, drawn.(set))
    shown = Change::Draft.new(set).apply(Change::SetView.new(sheet_id: sheet.id, part: "signs", on: true))
    assert_match(/>D2</, drawn.(shown))
    assert_match(/>D3</, drawn.(shown))
    refute_match(/>D1</, drawn.(shown), "D2 replaces it")
    assert_match(/was decided/, drawn.(shown), "the legend tells")
  end
end
