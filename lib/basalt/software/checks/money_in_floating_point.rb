# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An amount of money in a type that rounds.
      class MoneyInFloatingPoint < FeatureTypedWrongly
        rule "money-in-floating-point", :error, reads: %w[property class], each: "property"

        MONEY = /(price|cost|amount|fee|charge|balance|salary|budget|total|tariff|payment|deposit|refund|tax|vat|wage)/i
        FLOATING = /\A(real|float|double|number)\z/i

        def about(part)
          return [] unless wrong?(part, MONEY, FLOATING)

          [mistyped(part, "keeps money as #{part["type"]}", "Sums of such numbers are off by fractions that add up.", "Decimal")]
        end
      end
    end
  end
end
