# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_entities"
require_relative "../support/generated_levels"

# What was duplicated equals its pattern in everything but its name and its place.
class DuplicatesTest < Minitest::Test
  include CoreHelper

  def texts(seed)
    [GeneratedNetwork.new(seed, subnets: 2, things: 6).text, GeneratedEntities.new(seed).text]
  end

  def each_set
    6.times { |seed| texts(seed).each_with_index { |text, kind| yield model(text, tidy: true), "#{seed}, #{kind}" } }
  end

  # An element as it is told, with what belongs to it, and without its name.
  def plain(set, element)
    own = element.facts.reject { |fact, _| element.description.fields[fact]&.own }
    [element.kind, own.sort, element.assumed, element.container_id, set.parts_of(element.id).map { |part| [part.name, plain(set, part)] }]
  end

  def test_things_are_duplicated_with_their_parts_and_the_lines_among_them
    each_set do |set, title|
      sheet = set.sheet_list.first.id
      things = set.things_on(sheet).reject { |thing| thing.description.default_names.value?(thing.name) }.first(5)
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      copy = Change::Duplicate.new(ids: things.map(&:id), from: sheet, to: sheet, dx: 2000, dy: 0)
      draft.apply(copy)
      things.each { |thing| alike(draft, sheet, thing, draft.element(copy.made[thing.id]), title) }
      lines(draft, things, copy, title)
    end
  end

  def alike(draft, sheet, thing, made, title)
    refute_equal thing.name, made.name, title
    assert_equal plain(draft, thing), plain(draft, made), "#{title}: #{thing.name}"
    pattern, placed = [thing, made].map { |one| draft.placement(sheet, one.id) }
    assert_equal [pattern.x + 2000, pattern.y], [placed.x, placed.y], title
  end

  # Every relation among the patterns is there among the copies, and no other.
  def lines(draft, things, copy, title)
    within = copy.made.keys.to_set
    patterns = things.flat_map { |thing| draft.relations_of(thing.id) }.uniq(&:id).select { |line|
      line.targets.all? { |id|
        within.include?(id)
      }
    }
    expected = patterns.map { |line|
      [line.kind, line.facts.reject { |fact, _|
        line.description.fields[fact]&.own
      }.sort, line.targets.map { |id|
                copy.made[id]
              }]
    }
    made = copy.made.values_at(*patterns.map(&:id)).map { |id| draft.element(id) }
    assert_equal expected, made.map { |line| [line.kind, line.facts.sort, line.targets] }, title
    assert_empty made.map(&:id) - copy.made.values
  end

  def test_a_duplicated_sheet_shows_the_same_at_the_same_places_and_reads_the_same
    each_set do |set, title|
      sheet = set.sheet_list.first
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      Change::DuplicateSheet.new(of_id: sheet.id).apply(draft)
      copy = draft.sheet_list.max_by(&:ordinal)
      refute_equal [sheet.id, sheet.name, sheet.number], [copy.id, copy.name, copy.number]
      assert_equal [sheet.notation_name, sheet.view, sheet.band, sheet.subject_id],
                   [copy.notation_name, copy.view, copy.band, copy.subject_id]
      places = ->(on) { draft.placements_on(on).map { |one| one.to_h.except(:id, :sheet_id, :ordinal) }.sort_by { |row| row[:element_id] } }
      assert_equal places.call(sheet.id), places.call(copy.id), title
      assert_equal drawn(draft, sheet.id), drawn(draft, copy.id), title
      assert_equal Statements::Unparser.new(draft).sheet(sheet.id), Statements::Unparser.new(draft).sheet(copy.id), title
    end
  end

  # What is drawn, without what tells one sheet from another.
  def drawn(set, sheet_id)
    Drawing::Scene.new(set, sheet_id).items.reject { |item|
      item.layer == :furniture
    }.map { |item| [item.element_id, item.layer, item.shapes] }.sort_by(&:inspect)
  end

  def test_a_copy_of_a_copy_is_numbered_on
    set = model("project P\nsheet S: logical network\nserver web-9\nserver db", tidy: true)
    sheet = set.sheet_list.first.id
    names =
      3.times.map do
        draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
        draft.apply(copy = Change::Duplicate.new(ids: [set.named("web-9").first.id, set.named("db").first.id], from: sheet, to: sheet))
        set.advance(draft.effect)
        copy.made.values.map { |id| set.element(id).name }
      end
    assert_equal [%w[web-10 db-2], %w[web-11 db-3], %w[web-12 db-4]], names
  end
end
