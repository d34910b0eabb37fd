# frozen_string_literal: true

require_relative "../support/core_helper"

# Whatever an act makes look otherwise, on any sheet, is known to be affected by it, and so is drawn again on every page that shows it.
# SEED says which acts, STEPS how many.
class DrawnAgainTest < Minitest::Test
  include CoreHelper

  STEPS = Integer(ENV.fetch("STEPS", "30"), 10)
  SAMPLE = File.expand_path("../../demo/tarnwater.basalt", __dir__)

  def test_whatever_looks_otherwise_after_an_act_is_known
    seed = ENV.fetch("SEED", "1").to_i
    @random = Random.new(seed)
    set = model(File.read(SAMPLE), tidy: :by_hand)
    before = drawn(set)
    STEPS.times do |step|
      draft, told = acted(set)
      next unless draft

      changed = Drawing::Affected.changed(draft)
      followed(draft, changed)
      affected = Drawing::Affected.by(draft, changed)
      set.advance(draft.effect)
      after = drawn(set)
      assert_empty ((after - before) + (before - after)).map { |key, *| key } - affected, "SEED=#{seed}, step #{step}: #{told}"
      before = after
    end
  end

  private

  # @return [Set<Array>] key of what is drawn, and how
  def drawn(set)
    set.sheet_list.flat_map do |sheet|
      scene = Drawing::Scene.new(set, sheet.id)
      set.placements_on(sheet.id).flat_map do |placed|
        scene.items_of(placed).map { |item| [placed.key, item.id, item.shapes, item.data, item.title, item.layer] }
      end
    end.to_set
  end

  # @return [Array(Change::Draft, String)] what it came to, and in words; nil where it cannot be done
  def acted(set)
    element = set.elements.each.to_a.sample(random: @random)
    what, change = change(set, element)
    return unless change

    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(change)
    Families.settle(draft)
    [draft, "#{what}: #{element.kind} #{element.name}"]
  rescue Mistake
    nil
  end

  def change(set, element)
    case @random.rand(5)
    when 0 then ["named", Change::Set.new(id: element.id, fact: "name", value: "zz#{@random.rand(10_000)}")] if element.name
    when 1 then ["removed", Change::Remove.new(id: element.id)]
    when 2 then taken_out(element)
    when 3 then fact(set, element)
    else
      on = set.sheets_of(element.id).sample(random: @random)
      ["taken off", Change::TakeOff.new(sheet_id: on, element_id: element.id)] if on && !set.sheets[on].notation.ruled?
    end
  end

  # What belongs to its sheet stays where it is.
  def taken_out(element)
    return if element.container_id.nil? || element.description.local

    ["taken out", Change::Set.new(id: element.id, fact: "container", value: nil)]
  end

  # A value that another has, or that it may have, or none.
  def fact(set, element)
    field = element.description.fields.values.sample(random: @random) or return
    values = [true, nil, "1", "x", *field.choices, *set.of_kind(element.kind).filter_map { |other| other[field.name] }.first(5)]
    ["#{field.name} set", Change::Set.new(id: element.id, fact: field.name, value: values.sample(random: @random))]
  end

  def followed(draft, changed)
    sheets = changed.flat_map { |id| draft.sheets_of(id) } + draft.placements.differences.map { |_, one, other| (other || one).sheet_id }
    sheets += draft.sheets_with(:gathers?).map(&:id)
    sheets.uniq.select { |id| draft.sheets[id] }.each { |id| Drawing::Arranger.new(draft, id).follow }
  end
end
