# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A thing that is to go into a rack with room enough for it in all, but nowhere at a stretch.
      class GapTooSmall < RackCheck
        rule "gap-too-small", :hint, reads: READS, each: "place"

        def about(rack)
          elevation = elevation(rack) or return []
          elevation.waiting.select { |thing| scattered?(elevation, thing) }.map do |thing|
            free = English.count(elevation.free, "unit")
            finding(
              [thing.id, rack.id],
              "#{rack.name} has #{free} free, and no #{Racks::Span.height(thing)} of them together for #{thing.name}",
              "Moved together, what stands there would leave room for it."
            )
          end
        end

        private

        def scattered?(elevation, thing)
          elevation.place_for(thing).nil? && elevation.free >= Racks::Span.height(thing)
        end
      end
    end
  end
end
