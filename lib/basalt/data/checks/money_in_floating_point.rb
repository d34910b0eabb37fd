# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An amount of money in a type that rounds.
      class MoneyInFloatingPoint < Basalt::Checks::Check
        rule "money-in-floating-point", :error, reads: %w[column]

        MONEY = /(price|cost|amount|fee|charge|balance|salary|budget|total|tariff|payment|deposit|refund|tax|vat|wage)/i
        FLOATING = /\A(real|float\d*|float\(\d+\)|double precision)\z/i

        def findings
          set.of_kind("column").select { |one| one["type"].to_s.match?(FLOATING) && one.name.match?(MONEY) }.map do |one|
            table = set.element(one.owner_id)
            finding(table.id, "#{table.name}.#{one.name} keeps money as #{one['type']}", "Sums of such numbers are off by fractions that add up.",
                    repair: repair("Make it numeric(12,2)", Change::Set.new(id: one.id, fact: "type", value: "numeric(12,2)")))
          end
        end
      end
    end
  end
end
