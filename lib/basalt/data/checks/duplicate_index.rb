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
              "#{one["type"] == "index" ? "The index" : "The uniqueness"} of #{table.name} over #{English.list(names)} is there already",
              "It costs time with every row that is written and helps no query.",
              repair: repair("Strike it", Change::Remove.new(id: one.id))
            )
          end
        end

        private

        def covered?(table, one)
          columns = one.targets("column")
          key = Tabling.columns(set, table.id).select { |column| column["key"] }.map(&:id)
          others =
            Tabling
              .constraints(set, table.id)
              .reject do |other|
                other.id == one.id || (other.targets("column") == columns && other.ordinal > one.ordinal && other["type"] == one["type"])
              end
          if one["type"] == "unique"
            return key == columns || others.any? { |other| other["type"] == "unique" && other.targets("column") == columns }
          end

          ([key] + others.map { |other| other.targets("column") }).any? { |list| list.first(columns.length) == columns }
        end
      end
    end
  end
end
