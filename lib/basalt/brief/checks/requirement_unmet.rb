# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # A requirement that nothing meets, where others are met.
      class RequirementUnmet < Basalt::Checks::Check
        rule "requirement-unmet", :warning, reads: %w[requirement meets]

        def findings
          coverage = Coverage.new(set)
          return [] if set.of_kind("meets").empty?

          coverage.unmet.map do |one|
            finding(
              one.id,
              "Nothing meets #{one.name}",
              "#{(one["text"] || "What it asks for").delete_suffix(".")}: no part of the design says that it is there for that."
            )
          end
        end
      end
    end
  end
end
