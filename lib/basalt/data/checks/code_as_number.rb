# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An identifier that people write, kept as a number: it loses the zeros in front.
      class CodeAsNumber < TypedWrongly
        rule "code-as-number", :warning, reads: %w[column table reference], each: "column"

        CODE = /(\A|_)(code|postcode|zip|phone|fax|serial|tag|barcode|account_number|part_number|staff_number|reference)\z/i
        NUMERIC = /\A(smallint|integer|int\d?|bigint|numeric.*|decimal.*)\z/i

        def about(column)
          return [] if !wrong?(column, CODE, NUMERIC) || column["generated"] || set.relations_of(column.id, "reference").any?

          why = "What is written with zeros or blanks in front is a text; as a number it would come back otherwise."
          [mistyped(column, "is a number", why, "varchar(20)")]
        end
      end
    end
  end
end
