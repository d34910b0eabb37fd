# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An identifier that people write, kept as a number: it loses the zeros in front.
      class CodeAsNumber < FeatureTypedWrongly
        rule "code-as-number", :warning, reads: %w[property class], each: "property"

        CODE = /(\A|_|(?<=[a-z]))(code|postcode|zip|phone|fax|serial|tag|barcode|(account|part|staff)_?number|reference)\z/i
        NUMERIC = /\A(integer|int|long|number|decimal|unlimitednatural)\z/i

        def about(part)
          return [] unless wrong?(part, CODE, NUMERIC)

          why = "What is written with zeros or blanks in front is a text; as a number it would come back otherwise."
          [mistyped(part, "is a number", why, "String")]
        end
      end
    end
  end
end
