# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A rack that draws more than it is supplied with.
      class OverPower < RackCheck
        rule "over-power", :warning, reads: READS, each: "place"

        def about(rack)
          elevation = elevation(rack)
          return [] unless elevation && rack["supply"] && elevation.power > rack["supply"]

          [
            finding(
              rack.id,
              "#{rack.name} draws #{elevation.power} W and is supplied with #{rack["supply"]} W",
              "When all of it runs, a breaker goes, and everything in the rack with it."
            )
          ]
        end
      end
    end
  end
end
