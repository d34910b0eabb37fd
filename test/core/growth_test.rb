# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/tidiness"
require_relative "../support/generated_entities"

# Sheets that are typed statement by statement, the names first and then what joins them.
class GrowthTest < Minitest::Test
  include CoreHelper
  include Tidiness

  DEMO = File.expand_path("../../demo/tarnwater.basalt", __dir__)
  # How many times worse than a tidied sheet a typed one may be in each respect.
  MOST = 1.25
  # px of a page of 1280 by 800 that a sheet has: alone, and with register and margin; px of an empty edge around it.
  ALONE = [1190, 646].freeze
  WITH_REGISTER = [890, 500].freeze
  EDGE = 28

  def typed(lines, notation: "logical network")
    set = model("sheet A: #{notation}")
    lines.each do |line|
      set.advance(taken(set, line).effect)
      yield set, line if block_given?
    end
    set
  end

  # What stands where is kept from act to act, as it is where a project is open.
  def taken(set, line)
    sheet_id = set.sheet_list.first.id
    @spatial_indexes ||= {}.compare_by_identity
    spatial_index = @spatial_indexes[set] ||= Drawing::SpatialIndex.new(set, sheet_id)
    draft = say(set, "A", line)
    Drawing::Arranger.new(draft, sheet_id, spatial_index:).follow
    assert_in_step(spatial_index, draft, sheet_id, line)
    draft
  end

  def assert_in_step(kept, draft, sheet_id, message)
    fresh = Drawing::SpatialIndex.new(draft, sheet_id)
    draft
      .placements_on(sheet_id)
      .map(&:element_id)
      .each do |id|
        %i[things lines labels].each do |what|
          assert_equal fresh.public_send(what).boxes(id).to_set,
                       kept.public_send(what).boxes(id).to_set,
                       "#{message}: #{what} of #{draft.element(id).name}"
        end
      end
  end

  def names_first(text)
    lines = text.lines(chomp: true).reject { |line| line.start_with?("project", "sheet") }
    lines
      .partition do |line|
        line.match?(/\A(\w+ )?(internet|subnet|router|server|storage|workstation|controller|printer|sensor|switch)\b/) &&
          !line.match?(/ (on|to) /)
      end
      .flatten
  end

  def quality(set)
    sheet = set.sheet_list.first
    boxes = set.placements_on(sheet.id).select(&:box).to_h { |placed| [placed.element_id, placed.box] }
    lines =
      sheet
        .notation
        .lines_on(set, sheet.id)
        .map { |line| [*line.endpoints.values_at(0, -1), set.placement(sheet.id, line.id).route["points"]] }
    Layout::Quality.new(boxes, lines)
  end

  def tidied(set)
    draft = Change::Draft.new(set)
    Drawing::Arranger.new(draft, set.sheet_list.first.id).tidy
    draft
  end

  def assert_as_good_as_tidied(set, message)
    grown, best = [set, tidied(set)].map { |one| quality(one) }
    { crossings: 1, bends: 3, area: 0, paper: 0 }.each do |respect, slack|
      assert_operator grown.public_send(respect), :<=, (best.public_send(respect) * MOST) + slack, "#{message}: #{respect}"
    end
  end

  def links(seed, size)
    random = Random.new(seed)
    pairs = (1...size).map { |n| [random.rand([0, n - 5].max...n), n] } + Array.new(size / 3) { Array.new(2) { random.rand(size) } }
    Array.new(size) { |n| "#{%w[router switch server workstation][n % 4]} t#{n}" } +
      pairs.reject { |one, other| one == other }.uniq.map { |one, other| "t#{one} to t#{other}" }
  end

  6.times do |seed|
    define_method(:"test_typed_links_are_as_good_as_tidied_#{seed}") do
      set = typed(links(seed, 8 + (seed * 5))) { |now, line| assert_clear(now, "#{seed}, #{line}") }
      assert_as_good_as_tidied(set, "links #{seed}")
    end

    define_method(:"test_typed_subnets_are_as_good_as_tidied_#{seed}") do
      set =
        typed(names_first(GeneratedNetwork.new(seed, subnets: 2 + (seed % 3), things: 2 + (seed % 4)).text)) do |now, line|
          assert_clear(now, "#{seed}, #{line}")
        end
      assert_as_good_as_tidied(set, "subnets #{seed}")
    end
  end

  def test_what_somebody_put_somewhere_is_not_moved_by_what_is_typed
    set = typed(links(3, 12))
    sheet = set.sheet_list.first
    draft = Change::Draft.new(set)
    Change::Arrange.new(placement_id: set.placement(sheet.id, set.named("t4").first.id).id, to: { x: 1500, y: 900, by_hand: true }).apply(
      draft
    )
    Drawing::Arranger.new(draft, sheet.id, spatial_index: @spatial_indexes[set]).follow
    set.advance(draft.effect)
    before = set.placements_on(sheet.id).select(&:box).to_h { |placed| [placed.element_id, placed.box] }
    ["server fresh", "fresh to t4", "fresh to t1", "router other", "other to t2"].each { |line| set.advance(taken(set, line).effect) }
    assert_equal before, set.placements_on(sheet.id).select(&:box).to_h { |placed| [placed.element_id, placed.box] }.slice(*before.keys)
    assert_clear(set, "after what was put by hand")
  end

  def test_what_nothing_joins_waits_apart_until_it_is_joined
    lines = ["router r", "subnet S 10.1.0.0/24", "r on S at .1"] + Array.new(5) { |n| "server s#{n}" }
    set = typed(lines)
    sheet = set.sheet_list.first
    5.times do |n|
      corner = Drawing::SheetStatistics.new(set, sheet.id).waiting
      waiting, joined = set.things_on(sheet.id).partition { |thing| set.relations_of(thing.id).empty? }
      waiting.each { |thing| assert corner.overlap?(set.placement(sheet.id, thing.id).box), "#{thing.name} is in the corner" }
      joined.each { |thing| refute corner.overlap?(set.placement(sheet.id, thing.id).box), "#{thing.name} is not" }
      set.advance(taken(set, "s#{n} on S at .1#{n}").effect)
    end
    assert_nil Drawing::SheetStatistics.new(set, sheet.id).waiting
  end

  def test_captions_places_and_sheets_without_lines_wait_for_nothing
    set = typed(["router r", "switch s", "r to s", "caption C says \"a word\"", "site Works", "divide D before \"ours\""])
    assert_nil Drawing::SheetStatistics.new(set, set.sheet_list.first.id).waiting
    set.advance(taken(set, "server late").effect)
    refute_nil Drawing::SheetStatistics.new(set, set.sheet_list.first.id).waiting
    cards = typed(["requirement R1: One.", "requirement R2: Two.", "requirement R3: Three."], notation: "requirements")
    put = cards.placements_on(cards.sheet_list.first.id).first
    draft = Change::Draft.new(cards).apply(Change::Arrange.new(placement_id: put.id, to: { x: 900, y: 900, by_hand: true }))
    assert_nil Drawing::SheetStatistics.new(draft, cards.sheet_list.first.id).waiting
  end

  def test_the_corner_is_drawn_on_the_page_and_not_in_a_print
    set = typed(["router r", "switch s", "r to s", "server a", "server b"])
    scene = Drawing::Scene.new(set, set.sheet_list.first.id)
    assert_includes Drawing::SVG.layers(scene.items), "joined to nothing yet"
    refute_includes Drawing::SVG.document(scene, description: ""), "joined to nothing yet"
  end

  def test_letters_of_the_sample_can_be_read
    set = model(File.read(DEMO), tidy: true)
    set.sheet_list.each do |sheet|
      scene = Drawing::Scene.new(set, sheet.id)
      least = scene.items.select { |item| item.layer == :things }.flat_map { |item| letters(item.shapes) }.min
      # A rack is as high as its units, and a class as its rows; a cloud has boundaries within each other.
      tall = { "rack" => 0.55, "classes" => 0.9, "cloud" => 0.4 }.fetch(sheet.notation_name, 1)
      [[ALONE, 9 * tall], [WITH_REGISTER, 7.5 * tall]].each do |(width, height), aim|
        scale = [1.25, width / (scene.extent.w + EDGE).to_f, height / (scene.extent.h + EDGE).to_f].min
        assert_operator least * scale, :>=, aim, "#{sheet.name} in #{width} by #{height}"
      end
    end
  end

  def letters(shapes)
    shapes.flat_map do |shape|
      { text: [Drawing::Pens::TEXTS.fetch(shape[4], [])[1]].compact, part: shape[0] == :part ? letters(shape[2]) : [] }.fetch(
        shape[0],
        []
      )
    end
  end
end
