# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Two things of a rack at the same units, faces and sides.
      class UnitOverlap < RackCheck
        rule "unit-overlap", :error, reads: READS, each: "place"

        def about(rack)
          elevation = elevation(rack) or return []
          elevation.overlaps.map do |one, other|
            finding(
              [other.id, one.id, rack.id],
              "#{other.name} and #{one.name} are both at #{at(elevation, other)} of #{rack.name}",
              "Only one of them can be screwed in there.",
              repair: elsewhere(elevation, other)
            )
          end
        end
      end
    end
  end
end
