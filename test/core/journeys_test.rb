# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_journey"

# Journeys: said, numbered, walked, and what is found of that.
class JourneysTest < Minitest::Test
  include CoreHelper

  J = Basalt::Journeys

  GROUND = <<~TEXT
    project P
    requirement R1: A caller can report a leak
    sheet Parts: components
    component App
    component Desk
    component Book
    component %<name>s
    App depends on Desk
    Desk depends on Book
    journey Report, by Caller, goal "it is known, and soon"
    step 1 of Report: App to Desk: sign in, signs in, may be refused
    branch 1a of Report on refusal: the name, or the word, is wrong
    step 1a1 of Report: Desk to App: say so
    step 2 of Report: App to Desk: submit report, only signed in, meets R1
    step 2.1 of Report: Desk to %<name>s: "check, and keep", when asked
    branch 2a of Report: nobody answers
    step 3 of Report: Desk to Book: keep it, writes Book, reads Book by site and day, moves Book from open to full
    after 1a of Report comes 1
    after 2a of Report comes 3
    Book goes through open, full, shut ending as full, shut
    Book is asked by site and day
    Report meets R1
  TEXT

  def test_everything_comes_back_with_hostile_names
    ["Name", "a, b", "to Desk", 'say "so"', "signs in", "2a", "x; y", "meets R1", "<b>&amp;", "when", "step 1 of Report: x"].each do |name|
      quoted = Statements::Quoting.quote(name)
      set = model(format(GROUND, name: quoted))
      assert_equal facts(set), facts(model(reading(set))), name
      assert_equal reading(set), reading(model(reading(set))), name
    end
  end

  def journey(set) = set.of_kind("journey").first
  def numbers(set) = J::Course.new(set, journey(set).id).entries.map(&:number)
  def script(set) = J::Script.of(set, journey(set).id)

  def rewritten(set, text)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    J::Script.new(text).into(draft, journey(set).id, sheet_id: set.sheet_list.first.id)
    Families.settle(draft)
    draft
  end

  def test_a_text_that_says_the_same_alters_nothing
    set = model(format(GROUND, name: "Other"))
    assert_empty rewritten(set, script(set)).effect.deltas
    25.times do |seed|
      set = model(GeneratedJourney.new(seed).text)
      assert_empty rewritten(set, script(set)).effect.deltas, "seed #{seed}"
    end
  end

  # However lines are shuffled, numbers are those of the places, and each step keeps what it says.
  def test_steps_number_themselves
    40.times do |seed|
      random = Random.new(seed)
      set = model(GeneratedJourney.new(seed).text)
      blocks = script(set).lines(chomp: true).slice_before(/\A\d/).to_a.shuffle(random:)
      blocks.insert(random.rand(0..blocks.length), ["99 Somebody to Thing: something new"]) if random.rand < 0.5
      draft = rewritten(set, blocks.flatten.join("\n"))
      numbered(J::Course.new(draft, journey(draft).id).entries.map(&:number), seed)
      top = blocks.map { |block| block.first[/do \S+?(?=,|\z| ->)|something new/] }
      assert_equal top, J::Course.new(draft, journey(draft).id).steps_of(journey(draft).id).map { |step| step["passes"] }, "seed #{seed}"
      assert_equal reading(set), reading(model(reading(set))), "seed #{seed}"
    end
  end

  # Behind each stem the last parts of numbers count from one, or from a.
  def numbered(numbers, seed)
    numbers.group_by { |number| number[/\A(.*?)(\d+|[a-z]+)\z/, 1] }.each do |stem, alike|
      last = alike.map { |number| number.delete_prefix(stem) }
      expected = last.first.match?(/\d/) ? (1..last.length).map(&:to_s) : ("a"..).first(last.length)
      assert_equal expected, last, "seed #{seed}, behind “#{stem}”"
    end
  end

  def lines(set) = Statements::Unparser.new(set).reading(set.sheet_list.first.id).flatten(1).flat_map(&:last)

  def patched(set, after)
    patch = Statements::ReadingPatch.new(set, set.sheet_list.first.id, lines(set), after)
    [patch.into(Change::Draft.new(set, ids: -> { SecureRandom.uuid })), patch.refused.map(&:reason)]
  end

  def test_any_reading_can_be_edited_into_any_other
    25.times do |seed|
      one, other = [seed, seed + 500].map { |number| model(GeneratedJourney.new(number).text) }
      draft, refused = patched(one, lines(other))
      assert_empty refused, "seed #{seed}"
      assert_equal lines(other), lines(draft), "seed #{seed}"
    end
  end

  def test_steps_that_move_in_a_reading_are_the_same_steps
    set = model(format(GROUND, name: "Other"))
    ids = J::Course.new(set, journey(set).id).steps_of(journey(set).id).map(&:id)
    told = lines(set)
    third = told.index { |line| line.start_with?("step 3") }
    first = told.index { |line| line.start_with?("step 1 of") }
    draft, refused = patched(set, told.dup.tap { |all| all.insert(first, all.delete_at(third)) })
    assert_empty refused
    assert_equal ids.rotate(-1), J::Course.new(draft, journey(set).id).steps_of(journey(set).id).map(&:id)
    draft, refused = patched(set, told.map { |line| line.sub("step 2.1", "step 7.1") })
    assert_equal ["there is no line 7 above that 7.1 could belong to"], refused
    assert_equal lines(set), lines(draft), "nothing is lost"
  end

  # A walker that goes every way, step by step, comes to what is worked out of all ways at once.
  def test_what_is_found_agrees_with_walking_every_way
    checked = Hash.new(0)
    120.times do |seed|
      generated = GeneratedJourney.new(seed)
      set = model(generated.text)
      one = J::Survey.of(set).journeys.first
      met = walk(generated)
      found = findings(set).select { |finding| J::Family.checks.map(&:id).include?(finding.id) }
      flow = J::Flow.new(one.course)
      assert_equal met[:steps], flow.reached.map { |id| one.course.number(id) }.to_set, "steps, seed #{seed}"
      assert_equal met[:locked], found.any? { |finding| finding.id == "role-cannot-enter" }, "locked, seed #{seed}"
      lives = J::Lives.new(J::Survey.of(set), "Thing", "one")
      assert_equal met[:reached], lives.reached, "reached, seed #{seed}"
      assert_equal met[:left], lives.left, "left, seed #{seed}"
      assert_equal met[:endless], found.any? { |finding| finding.id == "journey-without-end" }, "endless, seed #{seed}"
      met.each { |what, value| checked[[what, value]] += 1 unless value.is_a?(Set) }
    end
    %i[locked endless].product([true, false]).each { |pair| assert_operator checked[pair], :>, 1, pair.inspect }
  end

  LONGEST = 11

  def walk(generated)
    met = { steps: Set.new, locked: false, reached: Set["one"], left: Set.new }
    after = Hash.new { |table, number| table[number] = Set.new }
    generated.walks(LONGEST) do |way, ended|
      note(way, met)
      way.each_cons(2) { |step, other| after[step.number] << other.number }
      after[way.last&.number] << nil if ended
    end
    met.merge(endless: met[:steps].any? { |number| !ends?(after, number) })
  end

  def note(way, met)
    signed, state = false, "one"
    way.each do |step|
      met[:steps] << step.number
      met[:locked] ||= step.inside && !signed && !step.enters
      signed ||= step.enters
      state = moved(step, state, met) if step.moves
    end
  end

  def moved(step, state, met)
    from, to = step.moves
    met[:left] << (from || state) unless (from || state) == to
    met[:reached] << to
    to
  end

  def ends?(after, number, seen = Set.new)
    return true if number.nil?

    seen.add?(number) && after[number].any? { |other| ends?(after, other, seen) }
  end

  THREE = "sheet S: components\ncomponent A\ncomponent B\ncomponent C\nA depends on B\n"
  ONE = "journey J\nstep 1 of J: A to B: x"

  def found(text, id) = findings(model(THREE + text)).select { |one| one.id == id }
  def words(text, id) = found(text, id).map(&:message)

  def test_what_lacks_is_found_and_mended
    lacking = "journey J\nstep 1 of J: A to C: x\nstep 2 of J: A to Nobody: y"
    assert_equal ["Step 1 of J goes from A to C, which nothing joins", "Step 2 of J needs Nobody, which is not there"],
                 words(lacking, "step-without-connection")
    set = model(THREE + lacking)
    mended = findings(set).find { |one| one.id == "step-without-connection" }.repair.changes
    draft = Change::Draft.new(set).apply(*mended)
    assert_equal 1, J::Survey.of(draft).journeys.first.steps.first.lines.length
    assert_equal ["No journey comes by C"], words(ONE, "part-in-no-journey")
    around = "A depends on C\nC depends on B\njourney J\nstep 1 of J: A to C: x\nstep 2 of J: C to B: y"
    assert_equal ["No journey goes from A to B"], words(around, "connection-in-no-journey")
    assert_empty found("", "part-in-no-journey"), "nobody walks there"
  end

  def test_stores_answer_who_gives_the_first_of_their_facts
    asked = ->(by, ways) { words("#{ways}\njourney J\nstep 1 of J: A to B: x, reads B by #{by}", "store-cannot-answer") }
    assert_equal ["B cannot be asked by site, as step 1 of J does"], asked.("site", "")
    assert_empty asked.("site", "B is asked by site and day")
    assert_empty asked.("day and site", "B is asked by site and day")
    assert_equal 1, asked.("day", "B is asked by site and day").length
    assert_empty asked.("day", "B is asked by site and day\nB is asked by day")
  end

  def test_states_refusals_and_conditions
    states = "A goes through new, known, gone"
    moving = ->(moved, id) { words("#{states}\n#{ONE}, moves #{moved}", id) }
    assert_equal ["A has no state lost, as step 1 of J has it"], moving.("A to lost", "state-unknown")
    assert_equal ["B has no state new, as step 1 of J has it"], moving.("B to new", "state-unknown")
    assert_equal ["No step makes A gone"], moving.("A to known", "state-never-reached")
    assert_equal ["No step moves A on from known"], moving.("A to known", "state-never-left")
    assert_equal ["What happens where step 1 of J is refused?"], words("#{ONE}, may be refused", "refusal-unhandled")
    assert_empty found("#{ONE}, may be refused\nbranch 1a of J on refusal: it is late", "refusal-unhandled")
    open = "#{ONE}, when late\nstep 2 of J: A: y\nbranch 2a of J: it rains"
    otherwise = ["Step 1 of J happens when late: and otherwise?", "In branch 2a of J nothing happens"]
    assert_equal otherwise, words(open, "condition-without-another-way")
  end

  def test_requirements_that_nobody_walks_for
    brief = "requirement R1: a\nrequirement R2: b\nrequirement R3: c\nrequirement R3, a quality\nrequirement R4: d\n" \
            "requirement R4, state dropped\n"
    assert_equal ["No journey is walked for R2"], words("#{brief}#{ONE}, meets R1", "requirement-uncovered")
    set = model("#{brief}#{THREE.sub("component C\n", "")}#{ONE}, meets R1")
    coverage = Brief::Coverage.new(set)
    assert_equal ["1 journey, walked for 1 of 2 requirements; none for R2", "S: journeys come by 2 of 2 parts"], coverage.accounting
    assert_equal "step 1 of J", coverage.title(coverage.met_by(set.named("R1").first.id).first)
    assert_empty coverage.outside, "what a journey comes by is there for what that meets"
  end

  def test_steps_say_what_things_are_called_now
    set = model(format(GROUND, name: "Other"))
    draft = Change::Draft.new(set).apply(Change::Set.new(id: set.named("Desk").first.id, fact: "name", value: "Front desk"))
    Families.settle(draft)
    assert_includes script(draft), "3 Front desk to Book"
    assert_equal 1, findings(draft).count { |one| one.id == "step-without-connection" }, "only Other is joined to nothing"
  end

  def test_what_cannot_be_said_is_refused_in_words
    set = model(format(GROUND, name: "Other"))
    {
      "step 9.1 of Report: App: x" => /Report has no 9 that 9\.1 could belong to/,
      "after 2 of Report comes 17" => /Report has no step 17/,
      "Book goes through a, b, a" => /goes through a twice/,
      "Book goes through a, b ending as c" => /c is none of the states/,
      "step 1 of Nowhere: App: x" => /a known journey/
    }.each { |line, words| assert_match words, assert_raises(Mistake, line) { say(set, "Parts", line) }.message }
    two = model(format(GROUND, name: "Other") + "journey Second\n")
    assert_match(/there are 2 journeys here/, assert_raises(Mistake) { say(two, "Parts", "step 1: App: x") }.message)
    ["1 App to", "1a on refusal: x", "1 App to Desk: x -> 40", "2.x y", "1 #{"x" * 2001}", (["A: x"] * 2001).join("\n")].each do |text|
      assert_raises(Mistake, text[0, 40]) { rewritten(set, text) }
    end
  end

  def test_a_thousand_steps
    lines = Array.new(1000) { |n| "#{n + 1} App to Desk: step #{n + 1}#{" -> #{n + 3}" if n % 7 == 0 && n < 990}" }
    draft = rewritten(model(format(GROUND, name: "Other")), lines.join("\n"))
    assert_equal 1000, J::Course.new(draft, journey(draft).id).steps.length
    refute_includes ids_of(draft), "journey-without-end"
    assert_equal 3, J::Marks.new(draft, draft.sheet_list.first.id, J::Survey.of(draft).journeys).touched.length
  end

  def test_numbers_stand_on_a_sheet_without_covering_words
    set = model(File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__)), tidy: true)
    sheet = set.sheet_list.find { |one| one.name == "Supply map platform" }
    walked = J::Survey.of(set).on(sheet.id)
    items = J::Marks.new(set, sheet.id, walked).items
    assert_equal walked.sum { |one| one.steps.length }, items.length
    scene = Drawing::Scene.new(set, sheet.id)
    step = walked.first.steps[2]
    drawn = J::Picture.new(scene, J::Marks.new(set, sheet.id, walked.first(1)), now: step).items
    bright = drawn.reject { |item| item.faint || item.layer == :furniture || item.layer == :boundaries || item.type == "walk" }
    assert_equal (step.parts.map(&:id) + step.lines).to_set, bright.to_set(&:element_id)
  end

  def test_an_interaction_is_begun_from_a_journey
    set = model(format(GROUND, name: "Other"))
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    draft.apply(Change::AddSheet.new(name: "Talk", notation: "sequence", id: "talk"))
    J::Interaction.new(draft, journey(draft).id).into("talk")
    told = Statements::Unparser.new(draft).sheet("talk").join("\n")
    assert_includes told, "App asks Desk: submit report"
    assert_match(/optionally when the name, or the word, is wrong\n\s*Desk asks App: say so\n\s*end/, told)
    empty = model("sheet S: components\ncomponent A\njourney J")
    assert_raises(Mistake) { J::Interaction.new(Change::Draft.new(empty), journey(empty).id).into(empty.sheet_list.first.id) }
  end
end
