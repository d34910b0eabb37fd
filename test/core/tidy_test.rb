# frozen_string_literal: true

require_relative "../support/core_helper"

# What must hold of every sheet that was tidied.
class TidyTest < Minitest::Test
  include CoreHelper

  30.times do |seed|
    define_method(:"test_generated_sheet_#{seed}") { assert_tidy(model(GeneratedNetwork.new(seed).text, tidy: true), "seed #{seed}") }
  end

  def test_a_dozen_subnets_of_sixty_things
    assert_tidy(model(GeneratedNetwork.new(99, subnets: 12, things: 60).text, tidy: true), "full")
  end

  def test_the_same_text_gives_the_same_drawing
    text = GeneratedNetwork.new(4).text
    one, other = Array.new(2) { model(text, tidy: true).placements.each.map { |p| p.to_h.except(:id) } }
    assert_equal one, other
  end

  def test_a_pinned_thing_stays
    set = model("sheet A: logical network\nsubnet S 10.1.0.0/24\nserver a\nserver b\na on S at .1\nb on S at .2", tidy: true)
    pinned = set.placement(set.sheet_list.first.id, set.named("a").first.id)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Change::Arrange.new(placement_id: pinned.id, to: { x: 900, y: 400, pinned: true }).apply(draft)
    Basalt::Drawing::Arranger.new(draft, set.sheet_list.first.id).tidy
    assert_equal [900, 400], draft.placements[pinned.id].to_h.values_at(:x, :y)
    assert_tidy(draft, "pinned")
  end

  private

  def assert_tidy(set, message)
    sheet = set.sheet_list.first
    boxes = boxes(set, sheet)
    boxes.combination(2) { |(a, one), (b, other)| refute one.overlap?(other), "#{message}: #{a} on #{b}" }
    assert_lines(set, sheet, boxes, message)
  end

  # Slabs, and the words above a bus.
  def boxes(set, sheet)
    set.things_on(sheet.id).flat_map do |thing|
      placement = set.placement(sheet.id, thing.id)
      sheet.writing.obstacles(set, thing, placement).map { |box| [thing.name, box] }
    end
  end

  def assert_lines(set, sheet, boxes, message)
    index = Basalt::Layout::Index.new
    boxes.each { |name, box| index.add(name, box) }
    placed = Basalt::Layout::Index.new
    sheet.writing.lines_on(set, sheet.id).each do |line|
      route = set.placement(sheet.id, line.id)&.route
      assert route, "#{message}: no route for #{line.targets.map { |id| set.element(id).name }}"
      Basalt::Layout::Polyline.boxes(route["points"]).each { |box| assert_empty index.overlapping(box), "#{message}: #{line.targets.map { |id| set.element(id).name }} through a box" }
      assert_labels(set, sheet, line, route, index, placed, message)
      assert_attached(set, sheet, line, route["points"], message)
    end
  end

  def assert_labels(set, sheet, line, route, index, placed, message)
    sheet.writing.labels(set, line).each do |label|
      place = route["labels"][label.role]
      assert place, "#{message}: no room for #{label.text}"
      box = Basalt::Layout::Box.at(*place, label.width, label.height)
      assert_empty index.overlapping(box), "#{message}: label #{label.text} on a box"
      assert_empty placed.overlapping(box.grow(-1)), "#{message}: label #{label.text} on a label"
      placed.add(line.id, box)
    end
  end

  def assert_attached(set, sheet, line, points, message)
    line.targets.values_at(0, -1).zip(points.values_at(0, -1)).each do |id, (x, y)|
      placement = set.placement(sheet.id, id)
      touching = if set.element(id).kind == "subnet"
                   Basalt::Network::Notation::Bus.rails(placement).any? { |left, right, at| at == y && x.between?(left, right) }
                 else
                   placement.box.grow(0.5).overlap?(Basalt::Layout::Box.new(x:, y:, w: 0.1, h: 0.1))
                 end
      assert touching, "#{message}: a line to #{set.element(id).name} ends at #{[x, y]}"
    end
  end
end
