# frozen_string_literal: true

require_relative "../support/core_helper"

# Rows that are looked at through changes that are not kept are counted as they are listed.
class TableTest < Minitest::Test
  include CoreHelper

  def test_rows_under_a_key_are_counted_as_they_are_listed
    20.times do |seed|
      random = Random.new(seed)
      set = model(GeneratedNetwork.new(seed, subnets: 2, things: 5).text)
      sheet = set.sheet_list.first.id
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      15.times do
        things = draft.things_on(sheet)
        thing = things.sample(random:)
        case random.rand(3)
        when 0 then draft.apply(Change::Remove.new(id: thing.id)) if things.length > 2
        when 1 then draft.apply(Change::TakeOff.new(sheet_id: sheet, element_id: thing.id)) if things.length > 2
        else Statements::Document.new("server late-#{random.rand(9)}").into(draft, sheet_id: sheet)
        end
        [draft, Change::Draft.new(draft), set, set.pin].each do |one|
          assert_equal one.placements.ids_by(:sheet, sheet).length, one.placed_count(sheet)
          assert_equal one.things_on(sheet).map(&:id).sort, one.placed_on(sheet).reject(&:relation?).map(&:id).uniq.sort
          (one.elements.keys(:kind) + ["none"]).each do |kind|
            assert_equal one.of_kind(kind).length, one.elements.count_by(:kind, kind), kind
            assert_equal one.of_kind(kind).any?, one.elements.any_by?(:kind, kind), kind
          end
        end
      end
    end
  end

  def test_whatever_a_table_is_looked_at_through_answers_what_it_answers
    asked = Model::Table.public_instance_methods(false) - %i[put delete]
    [Model::Overlay, Model::PinnedTable].each { |through| assert_empty asked - through.public_instance_methods(false), through }
  end
end
