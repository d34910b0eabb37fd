# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A thing of which a part is beyond its rack, or which is higher than all of it.
      class DoesNotFit < RackCheck
        rule "does-not-fit", :error, reads: READS, each: "place"

        def about(rack)
          elevation = elevation(rack) or return []
          elevation.beyond.map do |thing|
            finding(
              [thing.id, rack.id],
              "#{thing.name} does not fit into #{rack.name} at #{at(elevation, thing)}",
              "The rack has #{English.count(elevation.height, "unit")}, from U1 to U#{elevation.height}.",
              repair: elsewhere(elevation, thing)
            )
          end
        end
      end
    end
  end
end
