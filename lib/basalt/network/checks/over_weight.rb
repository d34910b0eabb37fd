# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A rack that holds more than it bears.
      class OverWeight < RackCheck
        rule "over-weight", :warning, reads: READS, each: "place"

        def about(rack)
          elevation = elevation(rack)
          return [] unless elevation && rack["load"] && elevation.weight > rack["load"]

          [
            finding(
              rack.id,
              "#{rack.name} holds #{elevation.weight} kg and bears #{rack["load"]} kg",
              "The rack, or the floor beneath it, gives way."
            )
          ]
        end
      end
    end
  end
end
