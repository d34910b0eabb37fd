# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A table in which something else than a key determines a column, as it was said that it does.
      class BreaksNormalForm < Basalt::Checks::Check
        rule "breaks-normal-form", :warning, reads: [Determining::KIND, "table", "column", "constraint"], each: "table"

        def about(table)
          return [] if Determining.of(set, table.id).empty?

          forms = Determining.forms(set, table)
          first = forms.breaches.first or return []
          [broken(table, forms, first)]
        rescue Mistake
          []
        end

        private

        def broken(table, forms, breach)
          keys = forms.keys.map { |key| key.to_a.join(" with ") }
          split = repair("Split it in tables of the third", Decomposing.new(id: table.id)) if breach.form != "Boyce-Codd"
          finding(
            [table.id],
            "#{table.name} is in #{forms.highest} normal form alone: #{breach.dependency} keeps it from the #{breach.form}",
            "What is determined is kept once for each row, and may come to disagree. Its keys are #{English.list(keys)}.",
            repair: split
          )
        end
      end
    end
  end
end
