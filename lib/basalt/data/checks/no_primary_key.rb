# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A table whose rows cannot be told apart.
      class NoPrimaryKey < Basalt::Checks::Check
        rule "no-primary-key", :warning, reads: %w[table column], each: "table", near: 1

        def about(table)
          return [] if Tabling.columns(set, table.id).any? { |one| one["key"] }

          [
            finding(
              table.id,
              "#{table.name} has no primary key",
              "Two rows could be the same, and nothing could refer to one of them.",
              repair: mend(table)
            )
          ]
        end

        private

        def mend(table)
          name = Logical::Conventions.of(set).key(English.singular(table.name.tr("_", " ")))
          known = Tabling.column(set, table.id, name)
          return repair("Make #{name} its key", Change::Set.new(id: known.id, fact: "key", value: true)) if known

          repair(
            "Number its rows: #{name}",
            Change::Add.new(
              kind: "column",
              name:,
              owner_id: table.id,
              facts: {
                "type" => Logical::Types::KEY,
                "key" => true,
                "required" => true,
                "generated" => "identity"
              }
            )
          )
        end
      end
    end
  end
end
