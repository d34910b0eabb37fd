# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # A requirement that nothing meets, where others are met.
      class RequirementUnmet < Basalt::Checks::Check
        rule "requirement-unmet", :warning, reads: %w[requirement meets], each: "requirement"

        # Before anybody said what meets what, nothing is missing.
        def self.given(set) = set.elements.any_by?(:kind, "meets")

        def about(requirement)
          return [] if requirement["state"] == "dropped" || !self.class.given(set) || set.relations_of(requirement.id, "meets").any?

          asked = (requirement["text"] || "What it asks for").delete_suffix(".")
          [finding(requirement.id, "Nothing meets #{requirement.name}", "#{asked}: no part of the design says that it is there for that.")]
        end
      end
    end
  end
end
