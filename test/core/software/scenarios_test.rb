# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_interaction"

# Every way through an interaction, and what use cases come to.
class ScenariosTest < Minitest::Test
  include CoreHelper

  Interactions = Basalt::Software::Interactions
  K = Interactions::Kinds

  def interaction(set) = set.of_kind("interaction").first.id
  def scenarios(set) = Interactions::Scenarios.new(set, interaction(set))

  def test_they_are_those_of_a_walk_without_any_cleverness
    40.times do |seed|
      set = model(GeneratedInteraction.new(seed, most: 3, depth: 3).text)
      walked = all(Interactions::Course.new(set, interaction(set)).items).map(&:first)
      found = scenarios(set)
      assert_equal walked.length, found.count, seed
      next if walked.length > Interactions::Scenarios::MOST

      assert_equal walked.sort, found.list.map { |steps| steps.reject(&:condition?).map(&:id) }.sort, seed
    end
  end

  # @return [Array<Array(Array<String>, Boolean)>] what is done on each way, and whether the rest is left out
  def all(items)
    items.reduce([[[], false]]) do |ways, item|
      over, open = ways.partition(&:last)
      over + open.flat_map { |done, _| through(item).map { |more, broken| [done + more, broken] } }
    end
  end

  def through(item)
    inner = item.branches.map { |branch| all(branch.items) }
    whole = ->(ways) { ways.map { |done, _| [done, false] } }
    case item.element["operator"]
    when K::EITHER then whole.(inner.flatten(1)) + (item.branches.any? { |one| one.element["guard"] == "otherwise" } ? [] : [[[], false]])
    when K::OPTION then whole.(inner.first) + [[[], false]]
    when K::PARALLEL then inner.reduce([[[], false]]) { |ways, more| ways.flat_map { |a, _| more.map { |b, _| [a + b, false] } } }
    when K::LOOP then rounds(item.element["times"]).flat_map { |times| round(inner.first, times) }
    when K::BREAK then inner.first.map { |done, _| [done, true] } + [[[], false]]
    else [[[item.element.id], false]]
    end
  end

  def rounds(times) = { nil => [0, 1, 2], "3" => [2], "0 to 2" => [0, 1, 2], "1 to many" => [1, 2] }.fetch(times)

  def round(ways, times)
    return [[[], false]] if times.zero?
    return ways.map { |done, _| [done, false] } if times == 1

    ways.reject(&:last).flat_map { |one, _| ways.map { |other, _| [one + other, false] } }
  end

  def test_breaks_leave_out_the_rest_of_what_holds_them
    set = model(<<~TEXT)
      sheet S: sequence
      repeat while more
        A tells B: next
        break when it is wrong
          B tells A: wrong
        end
        A tells B: done
      end
      A tells B: bye
    TEXT
    told = scenarios(set).list.map { |steps| steps.reject(&:condition?).map { |step| step.text[/: (.*)/, 1] } }
    assert_equal [%w[bye], %w[next wrong bye], %w[next done bye], %w[next done next wrong bye], %w[next done next done bye]].sort, told.sort
  end

  def test_thirty_alternatives_are_counted_at_once_and_capped_with_a_notice
    parts = (1..30).flat_map { |n| ["either when #{n}", "A tells B: #{n}", "or when otherwise", "B tells A: #{n}", "end"] }
    found = scenarios(model(["sheet S: sequence", *parts].join("\n")))
    assert_equal 2**30, found.count
    assert_equal 200, found.list.length
    table = Interactions::ScenarioTable.new("S", found)
    assert_match "1073741824 scenarios; the first 200 are told.", table.notice
    assert_equal (1..200).to_a, table.rows.map { |row| row[1] }.uniq
  end

  def test_test_cases_say_what_is_done_under_which_conditions
    set = model("sheet S: sequence\nA asks B: x\neither when *late*\nB answers A: no\nor when otherwise\nB answers A: " \
                "yes\nend\noptionally\nend")
    table = Interactions::ScenarioTable.new("S", scenarios(set))
    assert_equal 4, scenarios(set).count
    assert_includes table.rows, ["S", 1, 2, "when *late*", "B answers A: no"]
    assert_includes table.markdown, "Under: when \\*late\\*; when nobody said when"
    assert_includes table.markdown, "1. A asks B: x\n2. B answers A: no"
  end

  AGREED = <<~TEXT
    sheet U: use cases
    actor Operator
    use case Acknowledge alarm
    use case Close job
    use case Report
    Operator starts Acknowledge alarm
    sheet C: classes
    class Console
    Console can +acknowledge(alarm)
    sheet Alarm: sequence
    participant o of Operator, an actor
    participant console of Console
    o asks console: acknowledge(a)
    console asks pager: page
    console asks console: wipe
    Alarm comes from Acknowledge alarm
    Close job is carried by Console.acknowledge
  TEXT

  def test_use_cases_agree_with_what_carries_them_and_holes_are_marked
    set = model(AGREED)
    agreement = Interactions::Agreement.new(set)
    told = agreement.rows.map { |row| [row.use_case.name, row.asked, row.type&.name, row.holes.keys] }
    expected = [
      ["Acknowledge alarm", "acknowledge", "Console", []],
      ["Acknowledge alarm", "page", nil, ["class"]],
      ["Acknowledge alarm", "wipe", "Console", ["operation"]],
      ["Close job", "acknowledge", "Console", []],
      ["Report", nil, nil, ["interaction"]]
    ]
    assert_equal expected, told
    operation = set.of_kind("operation").first
    assert_equal ["Acknowledge alarm", "Close job"], agreement.needing(operation.id).map(&:name)
    assert_equal reading(set), reading(model(reading(set)))
  end

  def test_participants_are_put_where_lines_are_short
    set = model("sheet S: sequence\nA asks B: 1\nparticipant C\nparticipant D\nA asks D: 2\nD asks B: 3\nC asks A: 4\nC asks A: 5")
    arrangement = Interactions::Arrangement.new(Interactions::Course.new(set, interaction(set)))
    before = Interactions::Course.new(set, interaction(set)).participants.map(&:id)
    assert_operator arrangement.length(arrangement.order), :<=, arrangement.length(before)
    draft = Change::Draft.new(set, ids: counter).apply(arrangement.changes)
    assert_equal %w[A C B D].sort, Interactions::Course.new(draft, interaction(set)).participants.map(&:name).sort
    assert_equal "A", Interactions::Course.new(draft, interaction(set)).participants.first.name
    assert_equal arrangement.order, Interactions::Course.new(draft, interaction(set)).participants.map(&:id)
  end

  def test_who_speaks_to_whom_how_often
    set = model("sheet S: sequence\nA asks B: 1\nA tells B: 2\nB answers A: 3\nA itself: 4")
    assert_equal "says to,A,B A,1,2 B,1,0",
                 Interactions::Traffic.new(Interactions::Course.new(set, interaction(set))).csv.split.join(" ").sub("says  to", "says to")
  end
end
