# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # What the checks of racks share.
      class RackCheck < Basalt::Checks::Check
        READS = %w[device place].freeze

        private

        # @return [Racks::Elevation, nil] nil where a place is no rack
        def elevation(place) = place["level"] == "rack" ? Racks::Elevation.new(set, place) : nil

        # @return [String] the units of a thing
        def at(elevation, thing)
          span = elevation.span(thing)
          span.low == span.high ? "U#{span.low}" : "U#{span.low} to U#{span.high}"
        end

        # @return [Basalt::Checks::Repair, nil] nil where the rack has no room for it
        def elsewhere(elevation, thing)
          unit = elevation.next_place(thing, 1) || elevation.next_place(thing, -1) || elevation.place_for(thing) or return
          repair("Move #{thing.name} to U#{unit}", Change::Set.new(id: thing.id, fact: "at unit", value: unit, was: thing["at unit"]))
        end
      end
    end
  end
end
