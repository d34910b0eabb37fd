# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_interaction"

# Interactions: lines in order, what they come to, where they stand.
class InteractionsTest < Minitest::Test
  include CoreHelper

  Interactions = Basalt::Software::Interactions
  Drawing = Basalt::Drawing
  SHEET = "Talk"

  def talk(*lines, **options) = model(["sheet #{SHEET}: sequence", *lines].join("\n"), **options)
  def sheet(set) = set.sheet_list.find { |one| one.name == SHEET }
  def lines(set) = Basalt::Statements::Unparser.new(set).sheet(sheet(set).id)
  def course(set) = Interactions::Course.new(set, Interactions::Scope.shown(set, sheet(set).id).id)
  def generated(seed, **options) = model(GeneratedInteraction.new(seed, **options).text)
  def draft(set) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
  def kept(draft) = Model::WorkingSet.new.advance(draft.effect)

  def test_any_interaction_comes_back_from_its_reading
    25.times do |seed|
      set = generated(seed)
      text = reading(set)
      assert_equal text, reading(model(text)), seed
      assert_equal shape(set), shape(model(text)), seed
    end
  end

  # What is said of each item, and how they stand in each other.
  def shape(set) = held(set, course(set).items)

  def held(set, items)
    items.map do |item|
      one = item.element
      [one.kind, one.name, one.facts.except("place"), one.assumed, one.endpoints.map { |id| set.element(id).name },
       item.branches.map { |branch| [branch.element["guard"], held(set, branch.items)] }]
    end
  end

  # As somebody edits the reading as text: lines altered, moved, added and struck come to what the text says when it is read afresh.
  def test_an_edited_reading_is_what_it_would_be_read_afresh
    30.times do |seed|
      set = generated(seed)
      random = Random.new(seed)
      before = lines(set)
      after = edited(before, random)
      draft = draft(set)
      patch = Basalt::Statements::ReadingPatch.new(set, sheet(set).id, before, after)
      patch.into(draft)
      Basalt::Families.settle(draft)
      assert_empty patch.refused, seed
      fresh = model(["sheet #{SHEET}: sequence", *after].join("\n"))
      assert_equal shape(fresh), shape(draft), "#{seed}\n#{before.join("\n")}\n--\n#{after.join("\n")}"
    end
  end

  PLAIN = /\A\s*(?!either|optionally|repeat|or\b|together|also|break|end|refer|with|that|participant).*(?: (?:asks|tells|answers) |itself)/

  def edited(lines, random)
    lines = lines.dup
    3.times do
      plain = lines.each_index.select { |index| lines[index].match?(PLAIN) }
      next if plain.empty?

      at = plain.sample(random:)
      case random.rand(4)
      when 0 then lines[at] = "#{lines[at][/\A.*?(?=:|\z)/]}: something else" unless lines[at].match?(/"/)
      when 1 then lines.delete_at(at) unless lines[at + 1].to_s.match?(/with the note|that is assumed/)
      when 2 then lines.insert(at, lines[at])
      else
        unless lines[at + 1].to_s.match?(/with the note|that is assumed/)
          line = lines.delete_at(at)
          target = lines.each_index.select { |index| lines[index].match?(PLAIN) }
          lines.insert(target.sample(random:) || lines.length, line)
        end
      end
    end
    lines
  end

  # Bars of one participant lie in each other or apart, and whoever is asked is busy no longer than whoever asks.
  def test_who_is_busy_is_well_nested
    120.times do |seed|
      set = generated(seed, most: 7, depth: 4)
      Interactions::Executions.new(course(set)).bars.group_by(&:participant_id).each_value do |bars|
        bars.combination(2) do |one, other|
          one, other = [one, other].sort_by { |bar| [bar.from, -bar.to] }
          nested = other.from >= one.from && other.to <= one.to
          assert nested || other.from > one.to || one.to == other.from, "#{seed}: #{one} #{other}"
        end
        bars.each { |bar| assert_operator bar.from, :<=, bar.to, seed }
      end
    end
  end

  # No words lie on a lifeline that is not theirs, nor on other words; frames hold what stands in them.
  def test_words_stand_clear_of_foreign_lifelines
    20.times do |seed|
      set = generated(seed, most: 6)
      geometry = Basalt::Software::Notation::SequenceGeometry.new(set, sheet(set).id)
      assert_words_clear(set, geometry, seed)
      assert_frames_hold(geometry, seed)
    end
  end

  def assert_words_clear(set, geometry, seed)
    columns = geometry.course.participants.to_h { |one| [one.id, geometry.places[one.id].then { |place| place[:x] + (place[:w] / 2.0) }] }
    words =
      set.of_kind("message", "mark").filter_map do |one|
        lines = geometry.words(one.id)
        at = geometry.places.fetch(one.id)[:route]["labels"]["middle"]
        width = (lines.map { |line| Basalt::Drawing::Pens.width(line, :verb) }.max || next)
        [one, Basalt::Layout::Box.at(*at, width, lines.length * 15)]
      end
    words.each do |one, box|
      columns.except(*one.endpoints).each_value { |x| refute x > box.x && x < box.right, "#{seed}: #{one.name}" }
    end
    words.combination(2) { |(one, box), (other, next_box)|
      refute box.grow(-2).overlap?(next_box.grow(-2)), "#{seed}: #{one.name}, #{other.name}"
    }
  end

  def assert_frames_hold(geometry, seed)
    geometry.course.each_run { |items| items.each { |item| assert_held(geometry, item, seed) } }
  end

  def assert_held(geometry, item, seed)
    return if item.branches.empty?

    around = geometry.places.fetch(item.element.id)
    item.branches.flat_map(&:items).each do |inner|
      place = geometry.places.fetch(inner.element.id)
      xs = place[:route] ? place[:route]["points"].map(&:first) : [place[:x], place[:x] + place[:w]]
      ys = place[:route] ? place[:route]["points"].map(&:last) : [place[:y], place[:y] + place[:h]]
      assert xs.min >= around[:x] && xs.max <= around[:x] + around[:w], "#{seed}: #{inner.element}"
      assert ys.min >= around[:y] && ys.max <= around[:y] + around[:h], "#{seed}: #{inner.element}"
    end
  end

  def test_what_is_wrong_is_told_at_its_line
    {
      ["A asks B: x", "or when y"] => "there is no fragment here for “or”",
      ["A asks B: x", "also"] => "there is no fragment here for “also”",
      ["A asks B: x", "end"] => "there is no block to end here",
      ["optionally when x", "A asks B", "or when y", "end"] => "“or” begins a branch of another fragment than this option",
      ["either when x", "A asks B"] => "is not closed",
      ["nobody tells nobody: x"] => "a message from nobody to nobody is none"
    }.each do |wrong, message|
      error = assert_raises(Basalt::Statements::Misread, wrong.inspect) { talk(*wrong) }
      assert_match message, error.message
      assert_match(/line \d/, error.message)
    end
    deep = ["optionally when x"] * 101
    assert_match "at most 100 deep", assert_raises(Basalt::Statements::Misread) { talk(*deep, "A asks B", *["end"] * 101) }.message
  end

  CLASSES = "sheet C: classes\nclass Console\nclass Screen\nConsole is a kind of Screen\nConsole can +look(alarm, by = nil), -purge(), " \
            "#hide()\n" \
            "Screen can +show()\nsheet #{SHEET}: sequence\nparticipant c of Console\nparticipant s of Screen\nparticipant O, an actor\n" \
            "O tells c: look\nO tells s: show"

  # Of each rule what it finds, and then what it does not.
  RULES = {
    "operation-not-in-class" => [["O asks c: wipe(all)"], ["O asks c: look(a)"], ["O asks c: show()"], ["O answers c: wipe"],
                                 ["c asks O: wipe"]],
    "arguments-do-not-fit" => [["O asks c: look()"], ["O asks c: look(a)"], ["O asks c: look(f(a, b), c)"], ["O asks c: look"]],
    "class-unknown" => [["participant p of Pager", "O asks p: x"], ["participant p of Screen", "O asks p: show"]],
    "answer-without-call" => [["c answers O: x"], ["O asks c: look(a)", "c answers O: x"],
                              ["O asks c: look(a)", "either when x", "c answers O: 1", "or when otherwise", "c answers O: 2", "end"]],
    "call-without-answer" => [["O asks c: look(a)"], ["O asks c: look(a)", "c answers O"], ["O tells c: look(a)"]],
    "participant-without-message" => [["participant x"], ["participant x", "O tells x: y"]],
    "guard-missing" => [["optionally", "O tells c: look", "end"], ["optionally when y", "O tells c: look", "end"],
                        ["repeat 3 times", "O tells c: look", "end"], ["together", "O tells c: look", "also", "O tells s: show", "end"]],
    "single-branch" => [["either when x", "O tells c: look", "end"],
                        ["either when x", "O tells c: look", "or when y", "O tells s: show", "end"]],
    "otherwise-missing" => [["either when x", "O tells c: look", "or when y", "O tells s: show", "end"],
                            ["either when x", "O tells c: look", "or when otherwise", "O tells s: show", "end"]],
    "speaks-after-destroyed" => [["O creates n: new", "O destroys n", "O tells n: x"],
                                 ["O creates n: new", "optionally when x", "O destroys n", "end", "O tells n: x"],
                                 ["O creates n: new", "either when x", "O destroys n", "or when otherwise", "O tells n: x", "end"]],
    "speaks-before-created" => [["O tells n: x", "O creates n: new"], ["O creates n: new", "O tells n: x"],
                                ["either when x", "O creates n: 1", "or when otherwise", "O creates n: 2", "end", "O tells n: x"]],
    "not-visible" => [["O asks c: purge()"], ["c itself: purge()"], ["O asks c: look(a)"], ["c tells c: hide()"]],
    "reference-unknown" => [["refer to Nothing"],
                            ["sheet Nothing: sequence", "A tells B: x", "sheet #{SHEET}: sequence", "refer to Nothing"]],
    "reference-cycle" => [["refer to Other", "sheet Other: sequence", "refer to #{SHEET}"],
                          ["refer to Other", "sheet Other: sequence", "A tells B: x"]]
  }.freeze

  def test_each_finding_is_found_and_its_near_misses_are_not
    RULES.each do |rule, (wrong, *right)|
      set = model([CLASSES, *wrong].join("\n"))
      found = findings(set).select { |one| one.id == rule }
      assert_equal 1, found.length, "#{rule}: #{findings(set).map { |one| [one.id, one.message] }}"
      right.each { |lines| refute_includes ids_of(model([CLASSES, *lines].join("\n"))), rule, "#{rule}: #{lines}" }
      next unless found.first.repair

      mended = draft(set).apply(found.first.repair.changes)
      Basalt::Families.settle(mended)
      refute_includes Checks::Runner.new(mended).findings.map(&:key), found.first.key, rule
    end
  end

  def test_a_use_case_that_nobody_traced_is_a_hint_until_it_is_confirmed
    text = "sheet U: use cases\nactor O\nuse case Look\nO starts Look\n%s\nsheet #{SHEET}: sequence\nA tells B: x\n%s"
    rule = "use-case-without-interaction"
    severity = ->(*said) { findings(model(format(text, *said))).find { |one| one.id == rule }&.severity }
    assert_equal :hint, severity.call("", "")
    assert_equal :warning, severity.call("use case Look, state confirmed", "")
    assert_nil severity.call("", "#{SHEET} comes from Look")
  end

  def test_names_make_participants_and_take_what_the_project_knows
    set = talk("actor Operator", "class Console", "Operator asks Console: look", "Console creates job of WorkOrder: new")
    found = set.of_kind("participant").to_h { |one| [one.name, one.facts.except("lane")] }
    known = { "Operator" => { "nature" => "actor" }, "Console" => { "type" => "Console" } }
    assert_equal known.merge("job" => { "type" => "WorkOrder" }), found
    text = "sheet C: classes\nclass Console\nsheet U: use cases\nactor Operator\nsheet #{SHEET}: sequence\nOperator asks Console: look"
    set = model(text)
    found = set.of_kind("participant").to_h { |one| [one.name, one.facts.except("lane")] }
    assert_equal known, found
  end

  def test_two_sheets_have_participants_of_one_name
    text = "sheet One: sequence\nA asks B: x\nsheet Two: sequence\nA asks B: y\nparticipant A, an actor"
    set = model(text)
    assert_equal 4, set.of_kind("participant").length
    assert_equal reading(set), reading(model(reading(set)))
    assert_equal(1, set.of_kind("participant").count { |one| one["nature"] == "actor" })
  end

  def test_items_are_moved_and_moved_back
    30.times do |seed|
      set = generated(seed)
      all = course(set).flat.map(&:element)
      moved = all.sample(random: Random.new(seed))
      spots = [Interactions::Spot.new(container_id: Interactions::Scope.shown(set, sheet(set).id).id, before_id: nil)]
      draft = draft(set)
      Interactions::Move.new(ids: [moved.id], spot: spots.first).apply(draft)
      assert_equal moved.id, course(draft).items.first.element.id
      assert_equal all.map(&:id).sort, course(draft).flat.map { |item| item.element.id }.sort
      back = Change::Draft.new(draft).apply(Change::Revert.new(deltas: draft.effect.inverse.deltas))
      assert_equal shape(set), shape(back), seed
    end
  end

  def test_what_a_fragment_held_stands_where_it_was_when_it_goes
    set = talk("A asks B: 1", "either when x", "  A asks B: 2", "or when y", "  A asks B: 3", "end", "A asks B: 4")
    draft = draft(set)
    draft.apply(Change::Remove.new(id: set.of_kind("fragment").first.id))
    Basalt::Families.settle(draft)
    assert_equal %w[1 2 3 4], course(draft).messages.map(&:name)
    draft = draft(set)
    draft.apply(Change::Remove.new(id: set.of_kind("operand").last.id))
    Basalt::Families.settle(draft)
    assert_equal %w[1 2 4], course(draft).messages.map(&:name)
  end

  def test_whoever_goes_what_is_left_can_be_drawn
    10.times do |seed|
      set = generated(seed)
      draft = draft(set)
      random = Random.new(seed)
      until (left = course(draft).participants).empty?
        # What two of them said goes with either.
        gone = left.sample(random:).id
        course(draft).messages.select { |one| one.endpoints.include?(gone) }.each { |one| draft.apply(Change::Remove.new(id: one.id)) }
        draft.apply(Change::Remove.new(id: gone))
        Basalt::Families.settle(draft)
        Drawing::Arranger.new(draft, sheet(draft).id).tidy
        scene = Drawing::Scene.new(draft, sheet(draft).id)
        assert_includes Drawing::SVG.document(scene, description: ""), "</svg>", seed
      end
    end
  end

  def test_the_interaction_goes_with_its_last_sheet
    set = talk("A asks B: 1")
    draft = draft(set)
    draft.apply(Change::RemoveSheet.new(id: sheet(set).id))
    Basalt::Families.settle(draft)
    assert_empty draft.of_kind("interaction", "participant", "message")
  end
end
