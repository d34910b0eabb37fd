# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An index on columns that a key or another index begins with.
      class DuplicateIndex < Basalt::Checks::Check
        rule "duplicate-index", :hint, reads: %w[constraint column table], each: "table"

        def about(table)
          Tabling.constraints(set, table.id).select { |one| covered?(table, one) }.map do |one|
            names = one.targets("column").map { |id| set.element(id).name }
            finding(
              [table.id],
              "#{one["type"] == "unique" ? "The uniqueness" : "The index"} of #{table.name} over #{English.list(names)} is there already",
              "It costs time with every row that is written and helps no query.",
              repair: repair("Strike it", Change::Remove.new(id: one.id))
            )
          end
        end

        private

        def covered?(table, one)
          columns = one.targets("column")
          return written_twice?(table, one) if one["as_written"]

          key = Tabling.key_columns(set, table.id).map(&:id)
          others =
            Tabling
              .constraints(set, table.id)
              .reject do |other|
                other.id == one.id || other["as_written"] ||
                  (other.targets("column") == columns && other.ordinal > one.ordinal && other["type"] == one["type"])
              end
          if one["type"] != "index"
            return key == columns || others.any? { |other| other["type"] != "index" && other.targets("column") == columns }
          end

          ([key] + others.map { |other| other.targets("column") }).any? { |list| list.first(columns.length) == columns }
        end

        def written_twice?(table, one) =
          Tabling.constraints(set, table.id).any? do |other|
            other.ordinal < one.ordinal && %w[type as_written].all? { |fact| other[fact] == one[fact] }
          end
      end
    end
  end
end
