# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Tables derived from entities, once and again: what would be added, altered and dropped,
      # and what a person refined and is kept.
      class Derivation
        # @param set [Model::WorkingSet, Change::Draft]
        # @param sheet_id [String, nil] where tables that are new are shown
        # @param from [String, nil] id of a sheet: only what comes from the entities and relationships drawn
        #   there, and what is no longer anywhere; nil for all of the project
        def initialize(set, sheet_id: nil, mapping: Mapping.new(set), from: nil)
          @set = set
          @sheet_id = sheet_id
          @sources = from && sources(from)
          @wanted = mapping.tables.select { |table| concerned?(table.thread) }
          @views = mapping.views.select { |view| concerned?(view.thread) }
          @known =
            set
              .of_kind("table")
              .select { |table| table["thread"] && concerned?(table["thread"]) }
              .to_h { |table| [table["thread"], table] }
        end

        # @return [Array<Change::Step>] in the order in which they are to be done
        def steps
          @steps ||=
            begin
              merges = @wanted.map { |table| TableMerge.new(@set, table, @known[table.thread], @sheet_id) }
              merges.flat_map(&:steps) + merges.flat_map(&:joining_steps) + gone +
                ViewMerge.new(@set, @views, @sheet_id) { |thread| concerned?(thread) }.steps
            end
        end

        # @param keys [Array<String>, nil] of the steps to take; nil for all
        # @return [Change::Draft]
        def into(draft, keys: nil)
          steps.select { |step| keys.nil? || keys.include?(step.key) }.each { |step| step.apply(draft) }
          draft
        end

        private

        # @return [Set<String>] ids of what the sheet draws, with its attributes
        def sources(sheet_id)
          notation = @set.sheets[sheet_id].notation
          drawn = @set.things_on(sheet_id) + notation.lines_on(@set, sheet_id)
          (drawn + notation.parts_on(@set, sheet_id, "attribute")).to_set(&:id)
        end

        def concerned?(thread)
          source = thread.split("/").first
          @sources.nil? || @sources.include?(source) || @set.element(source).nil?
        end

        def gone
          (@known.keys - @wanted.map(&:thread)).map do |thread|
            table = @known[thread]
            Change::Step.new(
              act: :drop,
              key: "drop #{thread}",
              words: "table #{table.name}: what it came from is no longer there",
              change: ->(draft) { Change::Remove.new(id: table.id).apply(draft) if draft.element(table.id) }
            )
          end
        end
      end
    end
  end
end
