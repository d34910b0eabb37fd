# frozen_string_literal: true

module Basalt
  module Drawing
    module LineEnds
      # The head of an arrow at the end of a line.
      module Arrow
        LONG = 10
        HALF = 4

        # @param points [Array] the line, to where the arrow points
        def self.shape(points)
          (bx, by), (x, y) = points.last(2)
          long = Math.hypot(x - bx, y - by)
          return [] if long.zero?

          dx, dy = (x - bx) / long, (y - by) / long
          back = [x - (dx * LONG), y - (dy * LONG)]
          corners = [[x, y], [back[0] - (dy * HALF), back[1] + (dx * HALF)], [back[0] + (dy * HALF), back[1] - (dx * HALF)]]
          [Shapes.fill("#{Shapes.data(corners)}Z", Pens::SLATE)]
        end
      end
    end
  end
end
