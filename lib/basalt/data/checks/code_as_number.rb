# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An identifier that people write, kept as a number: it loses the zeros in front.
      class CodeAsNumber < Basalt::Checks::Check
        rule "code-as-number", :warning, reads: %w[column reference]

        CODE = /(\A|_)(code|postcode|zip|phone|fax|serial|tag|barcode|account_number|part_number|staff_number|reference)\z/i
        NUMERIC = /\A(smallint|integer|int\d?|bigint|numeric.*|decimal.*)\z/i

        def findings
          set.of_kind("column").select { |one| one["type"].to_s.match?(NUMERIC) && one.name.match?(CODE) && one["generated"].nil? && set.relations_of(one.id, "reference").empty? }.map do |one|
            table = set.element(one.owner_id)
            finding(table.id, "#{table.name}.#{one.name} is a number", "What is written with zeros or blanks in front is a text; as a number it would come back otherwise.",
                    repair: repair("Make it varchar(20)", Change::Set.new(id: one.id, fact: "type", value: "varchar(20)")))
          end
        end
      end
    end
  end
end
