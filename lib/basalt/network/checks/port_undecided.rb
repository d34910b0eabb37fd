# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable for which a port of ours is not decided, at a unit whose ports are known.
      class PortUndecided < CableCheck
        rule "port-undecided", :hint, reads: READS, each: "link"

        def about(cable)
          return [] if cable.ends.all? { |one| one.facts["port"] }

          ends(cable).filter_map do |one, unit, ports|
            next if one.facts["port"] || !ports.known? || Owners.of(set, unit).any?

            finding(
              [cable.id, unit.id],
              "No port of #{unit.name} is decided for #{far(cable, one)}",
              "The schedule leaves it open, and whoever cables takes any.",
              repair: another_port(cable, one, unit)
            )
          end
        end

        private

        def far(cable, one)
          other = cable.ends.find { |candidate| candidate.role != one.role }
          "the cable to #{at(other, set.element(other.target_id))}"
        end
      end
    end
  end
end
