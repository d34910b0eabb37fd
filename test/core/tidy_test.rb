# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/tidiness"

# What must hold of every sheet that was tidied.
class TidyTest < Minitest::Test
  include CoreHelper
  include Tidiness

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

  def test_what_is_laid_out_makes_room_for_what_is_pinned
    set = model(GeneratedNetwork.new(3).text, tidy: true)
    sheet_id = set.sheet_list.first.id
    things = set.things_on(sheet_id).select { |thing| thing.kind == "device" }
    things
      .first(4)
      .each_with_index do |thing, n|
        draft = Basalt::Change::Draft.new(set)
        goal = set.placement(sheet_id, things[-1 - n].id)
        Basalt::Change::Arrange.new(
          placement_id: set.placement(sheet_id, thing.id).id,
          to: {
            x: goal.x + 9,
            y: goal.y + 5,
            pinned: true
          }
        ).apply(draft)
        Basalt::Drawing::Arranger.new(draft, sheet_id).tidy
        assert_equal [goal.x + 9, goal.y + 5], [draft.placement(sheet_id, thing.id).x, draft.placement(sheet_id, thing.id).y]
        assert_clear(draft, "pinned #{thing.name}")
      end
  end
end
