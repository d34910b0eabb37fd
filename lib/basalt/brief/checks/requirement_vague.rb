# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # A requirement with words that nobody can measure.
      class RequirementVague < Basalt::Checks::Check
        rule "requirement-vague", :warning, reads: %w[requirement], each: "requirement", near: 0

        def about(one)
          words = one["text"] ? RequirementQuality.vague(one["text"]) : []
          return [] if words.empty?

          [
            finding(
              one.id,
              "#{one.name} says “#{words.first(3).join("”, “")}” without a measure",
              "Whether it is met would be a matter of taste. How much, how many, within what time?"
            )
          ]
        end
      end
    end
  end
end
