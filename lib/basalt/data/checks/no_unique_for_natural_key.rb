# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A numbered table in which the natural key may occur twice.
      class NoUniqueForNaturalKey < Basalt::Checks::Check
        rule "no-unique-for-natural-key", :warning, reads: %w[table column constraint attribute]

        def findings
          set
            .of_kind("table")
            .filter_map do |table|
              source = Threads.source(set, table)
              next unless source&.kind == "entity" && table["thread"] == source.id

              natural = natural(table, source)
              next if natural.empty? || unique?(table, natural)

              finding(
                table.id,
                "#{English.list(natural.map(&:name))} of #{table.name} may occur twice",
                "It tells one #{source.name} from another, and the number that is the key does not keep it from being entered again.",
                repair: mend(table, natural)
              )
            end
        end

        private

        def mend(table, natural)
          repair(
            "Make it unique",
            Change::Add.new(
              kind: "constraint",
              facts: {
                "type" => "unique"
              },
              ends: [["table", table.id], *natural.map { |one| ["column", one.id] }]
            )
          )
        end

        def natural(table, entity)
          keys = Describing.simple(set, entity.id).select { |attribute| attribute["key"] }.map(&:id)
          Tabling.columns(set, table.id).select { |column| keys.include?(column["thread"]) }
        end

        def unique?(table, columns)
          ids = columns.map(&:id).sort
          Tabling.columns(set, table.id).select { |column| column["key"] }.map(&:id).sort == ids ||
            Tabling.constraints(set, table.id).any? { |one| Tabling.unique?(one) && one.targets("column").sort == ids }
        end
      end
    end
  end
end
