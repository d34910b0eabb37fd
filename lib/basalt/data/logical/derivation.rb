# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Tables derived from entities, once and again: what would be added, altered and dropped,
      # and what a person refined and is kept.
      class Derivation
        # One difference. +act+ is +:add+, +:alter+, +:drop+ or +:keep+ (told, and nothing is done);
        # +key+ names it, +words+ tell it and +why+ gives the reason.
        Step = Value.of(:act, :key, :words, :change, :why) do
          def apply(draft) = change&.call(draft)
        end

        # @param set [Model::WorkingSet, Change::Draft]
        # @param sheet_id [String, nil] where tables that are new are shown
        def initialize(set, sheet_id: nil, mapping: Mapping.new(set))
          @set = set
          @sheet_id = sheet_id
          @wanted = mapping.tables
          @views = mapping.views
          @known = set.of_kind("table").select { |table| table["thread"] }.to_h { |table| [table["thread"], table] }
        end

        # @return [Array<Step>] in the order in which they are to be done
        def steps
          @steps ||= begin
            merges = @wanted.map { |table| TableMerge.new(@set, table, @known[table.thread], @sheet_id) }
            merges.flat_map(&:steps) + merges.flat_map(&:joining_steps) + gone + ViewMerge.new(@set, @views, @sheet_id).steps
          end
        end

        # @param keys [Array<String>, nil] of the steps to take; nil for all
        # @return [Change::Draft]
        def into(draft, keys: nil)
          steps.select { |step| keys.nil? || keys.include?(step.key) }.each { |step| step.apply(draft) }
          draft
        end

        private

        def gone
          (@known.keys - @wanted.map(&:thread)).map do |thread|
            table = @known[thread]
            Step.new(act: :drop, key: "drop #{thread}", words: "table #{table.name}: what it came from is no longer there",
                     change: ->(draft) { Change::Remove.new(id: table.id).apply(draft) if draft.element(table.id) })
          end
        end
      end
    end
  end
end
