# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at a circle or an ellipse: at places all around, in four directions.
    class CircleTerminal < BoxTerminal
      # Of the radius, to both sides of the middle.
      PLACES = [0, 0.3, -0.3, 0.6, -0.6].freeze

      # Of the radius, across and down: boxes with their corners on the circle.
      COVER = [[0.957, 0.29], [0.8, 0.59], [0.59, 0.8], [0.29, 0.957]].freeze

      # Boxes within the circle that cover it and leave free wherever a line may end at it.
      #
      # @return [Array<Box>]
      def self.cover(box) = COVER.map { |across, down| Box.at(box.cx, box.cy, box.w * across, box.h * down) }

      # The point of the circle that a line meets which comes upright or level to the box around it.
      #
      # @param point [Array(Numeric, Numeric)] on the edge of the box
      def self.touch(box, point)
        x, y = point
        return x, box.cy + ((y < box.cy ? -1 : 1) * reach(box, x - box.cx)) if y <= box.y + 0.5 || y >= box.bottom - 0.5

        [box.cx + ((x < box.cx ? -1 : 1) * reach(box, y - box.cy)), y]
      end

      def self.reach(box, aside) = Math.sqrt([((box.w / 2.0)**2) - (aside**2), 0].max)

      def attachment_points(_toward)
        wide, high = box.w / 2.0, box.h / 2.0
        PLACES.flat_map do |part|
          out = Math.sqrt(1 - (part**2))
          [
            [[box.cx + (wide * part), box.cy - (high * out)], [0, -1]],
            [[box.cx + (wide * part), box.cy + (high * out)], [0, 1]],
            [[box.cx - (wide * out), box.cy + (high * part)], [-1, 0]],
            [[box.cx + (wide * out), box.cy + (high * part)], [1, 0]]
          ]
        end
      end
    end
  end
end
