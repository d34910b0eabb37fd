# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An identifier that people write, kept as a number: it loses the zeros in front.
      class CodeAsNumber < TypedWrongly
        rule "code-as-number", :warning, reads: %w[column reference]

        CODE = /(\A|_)(code|postcode|zip|phone|fax|serial|tag|barcode|account_number|part_number|staff_number|reference)\z/i
        NUMERIC = /\A(smallint|integer|int\d?|bigint|numeric.*|decimal.*)\z/i

        def findings
          columns(CODE, NUMERIC)
            .select { |one| one["generated"].nil? && set.relations_of(one.id, "reference").empty? }
            .map do |one|
              mistyped(
                one,
                "is a number",
                "What is written with zeros or blanks in front is a text; as a number it would come back otherwise.",
                "varchar(20)"
              )
            end
        end
      end
    end
  end
end
