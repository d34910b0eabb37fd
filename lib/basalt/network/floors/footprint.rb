# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # Where something stands on the floor of its room, and how much of it it takes.
      class Footprint
        # m, where nothing is said.
        RACK = Point.restore([0.6, 1.0])
        THING = Point.restore([0.5, 0.5])
        ROOM = Point.restore([8.0, 6.0])
        ACROSS = %w[90 270].freeze

        # @param thing [Model::Element] a place or a device
        def initialize(thing)
          @thing = thing
        end

        # @return [Point, nil] its upper left corner in the room
        def corner = Point.of(@thing["position"])

        # @return [Point] m to the right and towards the viewer, as it is turned
        def extent = across? ? told.turned : told

        # @return [Point] of how large it is where it is not turned
        def told = Point.of(@thing["extent"]) || usual
        def across? = ACROSS.include?(@thing["turned"])

        # @return [Point, nil] its middle
        def middle = corner&.then { |at| at.with(x: at.x + (extent.x / 2), y: at.y + (extent.y / 2)) }

        # @return [Symbol] the side at which its front is
        def front = { "90" => :left, "180" => :top, "270" => :right }.fetch(@thing["turned"], :bottom)

        private

        def usual
          return THING if @thing.kind == "device"

          @thing["level"] == "rack" ? RACK : ROOM
        end
      end
    end
  end
end
