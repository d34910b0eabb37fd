# frozen_string_literal: true

module Basalt
  module Drawing
    module LineEnds
      # The open head of an arrow, and the cross of an end at which nothing is known of the other (UML 2.5.1, 11.5.4).
      module OpenArrow
        LONG = 10
        HALF = 5
        CROSS = 4

        # @param points [Array] the line, from where the arrow points on
        # @param out [Numeric] how far from the end, px
        def self.path(points, out: 0) =
          Shapes.polyline([[out + LONG, -HALF], [out, 0], [out + LONG, HALF]].map { |at| CrowsFoot.at(points, *at) }, :line)

        # @param points [Array] the line, from that end on
        def self.cross(points, out: 12)
          strokes = [[[-1, -1], [1, 1]], [[-1, 1], [1, -1]]]
          strokes.map { |ends| Shapes.polyline(ends.map { |x, y| CrowsFoot.at(points, out + (x * CROSS), y * CROSS) }, :line) }
        end
      end
    end
  end
end
