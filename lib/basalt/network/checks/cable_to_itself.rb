# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable that ends where it begins.
      class CableToItself < CableCheck
        rule "cable-to-itself", :error, reads: READS, each: "link"

        def about(cable)
          return [] unless cable.targets.uniq.one? && looped?(cable)

          unit = set.element(cable.targets.first)
          [
            finding(
              [cable.id, unit.id],
              "A cable joins #{unit.name} to itself",
              unit["role"] == "patch panel" ? "It leads nowhere." : "What is sent into it comes back; a loop can take a network down.",
              repair: repair("Strike it", Change::Remove.new(id: cable.id))
            )
          ]
        end

        private

        # From one unit of a stack to another a cable may lead.
        def looped?(cable)
          members = ends(cable).map { |one, _, ports| port(one, ports)&.member }
          members.compact.uniq.length < 2
        end
      end
    end
  end
end
