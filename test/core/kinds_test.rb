# frozen_string_literal: true

require_relative "../support/core_helper"

# What every kind and every notation answers, whichever family brought it.
class KindsTest < Minitest::Test
  include CoreHelper

  SAMPLE = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))

  def sample = (@@sample ||= model(SAMPLE, tidy: true))

  def test_a_kind_is_made_of_what_its_parts_are_made_of
    kind = Model::Kind.new(name: "gauge", plural: "gauges", nouns: { "gauge" => {} }, containers: ["place"], brief: ["range"],
                           owner: ["device"], path: "/")
    assert_equal ["gauges", ["place"], ["range"], ["device"], "/"], [kind.plural, kind.containers, kind.brief, kind.owner, kind.path]
    assert_equal [{}, [], nil, []], [kind.ends, kind.distinct_by, kind.ordered, kind.chips]
    assert_equal %w[note], kind.fields.keys
    assert_match(/no colour, weight/, assert_raises(ArgumentError) { Model::Kind.new(name: "gauge", colour: 1, weight: 2) }.message)
    assert_match(/a gauge carries no depth/, assert_raises(Model::BadFact) { kind.field("depth") }.message)
  end

  def test_every_kind_says_what_it_joins_and_is_in_by_kinds_that_are_there
    known = Model::Catalogue.kinds.keys
    Model::Catalogue.kinds.each_value do |kind|
      kinds = kind.ends.values.reject { |one| one.equal?(Model::Kind::ANYTHING) }.flatten + kind.owner + kind.containers
      assert_empty kinds - known, kind.name
      assert_empty kind.brief - kind.fields.keys, kind.name
      assert_empty (kind.columns || {}).keys - Register::Columns.of(notation(kind), kind.name).map(&:key), kind.name
      assert_includes kind.fields.keys, kind.ordered, kind.name if kind.ordered
      assert_includes kind.ends.keys, kind.open_end if kind.open_end
    end
  end

  def notation(kind)
    Model::Catalogue.notations.values.find { |one| (one.things + one.lines + one.parts).include?(kind.name) } || Model::Catalogue.notations.values.first
  end

  # Each answers all that is asked of a notation, about everything that stands on a sheet of it.
  def test_every_notation_answers_everything
    sample.sheet_list.each do |sheet|
      set = Drawing::AsDrawn.of(sample, sheet.id)
      [sheet.notation, *sheet.notation.variants.keys.map { |variant|
        sheet.notation.shown("variant" => variant)
      }].each { |one| answers(one, set, sheet) }
    end
  end

  def answers(notation, set, sheet)
    set.things_on(sheet.id).reject { |thing| thing.description.figure&.outline? }.each do |thing|
      placed = set.placement(sheet.id, thing.id)
      assert(notation.size(set, thing).all?(Numeric))
      assert_kind_of Array, notation.thing_shapes(set, thing, placed)
      assert(notation.obstacles(set, thing, placed).all?(Layout::Box))
      assert(notation.bars(set, thing, placed).all?(Layout::Box))
      assert_includes [true, false], notation.repeatable?(set, sheet.id, thing) ? true : false
      assert_kind_of Array, notation.computed(set, thing)
      assert_empty notation.computed(set, thing).map(&:first) - notation.computed_headings(thing.kind), thing.kind
      # Another way to draw it has other places, which are not worked out here.
      lines_of(notation, set, thing, placed) if notation.equal?(sheet.notation)
    end
  end

  def lines_of(notation, set, thing, placed)
    set.relations_of(thing.id).select { |line| notation.draws_line?(set, line) }.each do |line|
      points = notation.terminal(set, thing, placed, line).attachment_points([0, 0])
      refute_empty points, notation.name
      around = placed.box.grow(2)
      points.each do |(x, y), way|
        assert around.overlap?(Layout::Box.at(x, y, 1, 1)), "#{notation.name}: #{thing.name} at #{x}, #{y} of #{placed.box.inspect}"
        assert(way.any? { |one| one != 0 })
      end
      assert(notation.labels(set, line).all?(Drawing::Label))
    end
  end
end
