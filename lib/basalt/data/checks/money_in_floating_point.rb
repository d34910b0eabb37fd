# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An amount of money in a type that rounds.
      class MoneyInFloatingPoint < TypedWrongly
        rule "money-in-floating-point", :error, reads: %w[column table], each: "column"

        MONEY = /(price|cost|amount|fee|charge|balance|salary|budget|total|tariff|payment|deposit|refund|tax|vat|wage)/i
        FLOATING = /\A(real|float\d*|float\(\d+\)|double precision)\z/i

        def about(column)
          return [] unless wrong?(column, MONEY, FLOATING)

          [mistyped(column, "keeps money as #{column["type"]}", "Sums of such numbers are off by fractions that add up.", "numeric(12,2)")]
        end
      end
    end
  end
end
