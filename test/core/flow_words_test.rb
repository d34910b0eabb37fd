# frozen_string_literal: true

require_relative "../support/core_helper"

# Words of flows are read beside their own lines; two flows between the same two are told apart.
class FlowWordsTest < Minitest::Test
  include CoreHelper

  WORDS = [
    "report",
    "known leak notice",
    "order",
    "state of supply",
    "meter reading",
    "list of streets",
    "notice of water back",
    "bill"
  ].freeze
  # Least distance, px, between two flows of the same two where they run along each other; at a circle that many reach it is less.
  GAP = { "context" => 12, "data flow" => 8 }.freeze
  # Two lines may come nearer for so much of their way, px: where one leaves and the other turns.
  SHORT = 20

  def flows(seed, notation, inside)
    random = Random.new(seed)
    outside = Array.new(random.rand(3..7)) { |n| "outsider Out #{n}" }
    middle = Array.new(inside) { |n| "process Do #{n}" }
    names = (outside + middle).map { |line| line.split(" ", 2).last }
    pairs =
      names
        .flat_map { |name| Array.new(random.rand(1..3)) { [name, random.rand(inside).then { |n| "Do #{n}" }] } }
        .reject { |one, other| one == other }
    lines =
      pairs.each_with_index.map do |pair, n|
        pair.shuffle(random:).then { |from, to| "#{from} gives #{WORDS.sample(random:)} #{n} to #{to}" }
      end
    ["sheet A: #{notation}", *outside, *middle, *lines].join("\n")
  end

  def routes(set)
    sheet = set.sheet_list.first
    sheet.notation.lines_on(set, sheet.id).map { |line| [line, set.placement(sheet.id, line.id).route] }
  end

  def assert_words_clear(set, message)
    sheet = set.sheet_list.first
    found = routes(set)
    found.each do |line, route|
      label = sheet.notation.labels(set, line).first
      place = route["labels"]["middle"]
      assert place, "#{message}: no place for #{label.text}"
      box = Layout::Box.at(*place, label.width, label.height)
      found.each do |other, foreign|
        unless other.id == line.id
          refute Layout::Polyline.boxes(foreign["points"]).any? { |run| run.overlap?(box) }, "#{message}: #{label.text} on #{other.name}"
        end
      end
    end
  end

  def assert_gaps(set, message)
    routes(set).combination(2) do |(one, first), (other, second)|
      next unless one.endpoints.sort == other.endpoints.sort

      runs = [first, second].map { |route| Layout::Polyline.boxes(route["points"]) }
      runs
        .first
        .product(runs.last)
        .each do |a, b|
          assert_operator apart(a, b), :>=, GAP.fetch(set.sheet_list.first.notation_name), "#{message}: #{one.name} and #{other.name}"
        end
    end
  end

  # How far two runs are from each other that go the same way beside each other.
  def apart(one, other)
    return Float::INFINITY unless (one.w > one.h) == (other.w > other.h)

    level = one.w > one.h
    shared = level ? [one.right, other.right].min - [one.x, other.x].max : [one.bottom, other.bottom].min - [one.y, other.y].max
    shared > SHORT ? (level ? one.cy - other.cy : one.cx - other.cx).abs : Float::INFINITY
  end

  20.times do |seed|
    define_method(:"test_flows_around_one_process_#{seed}") do
      set = model(flows(seed, "context", 1), tidy: true)
      assert_words_clear(set, "context #{seed}")
      assert_gaps(set, "context #{seed}")
    end

    define_method(:"test_flows_among_processes_#{seed}") do
      set = model(flows(seed, "data flow", 4), tidy: true)
      assert_words_clear(set, "data flow #{seed}")
      assert_gaps(set, "data flow #{seed}")
    end
  end

  # However close somebody puts them, as long as a word fits between them at all.
  def test_words_are_not_left_out_where_things_stand_close
    [44, 50, 60, 90, 160].each do |gap|
      set = model("sheet A: entities\nentity Site\nentity Asset")
      sheet = set.sheet_list.first
      draft = Change::Draft.new(set)
      %w[Site Asset].each_with_index do |name, n|
        draft.apply(
          Change::Arrange.new(
            placement_id: set.placement(sheet.id, set.named(name).first.id).id,
            to: {
              x: n * (140 + gap),
              y: 0,
              w: 140,
              h: 60,
              by_hand: true
            }
          )
        )
      end
      Statements::Document.new("an Asset stands at exactly one Site").into(draft, sheet_id: sheet.id)
      Drawing::Arranger.new(draft, sheet.id).follow
      line = draft.of_kind("relationship").first
      assert draft.placement(sheet.id, line.id).route["labels"].key?("middle"), "#{gap} px apart"
    end
  end

  def test_the_sample
    sample = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))
    set = model(sample, tidy: true)
    set.sheet_list.each do |sheet|
      next unless sheet.notation.lines.include?("flow") || sheet.notation_name == "activities"

      lines = sheet.notation.lines_on(set, sheet.id)
      assert_empty Drawing::EdgeRouting.new(Drawing::LayoutContext.new(Change::Draft.new(set), sheet.id)).crowded(lines), sheet.name
    end
  end
end
