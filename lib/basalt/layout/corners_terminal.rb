# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at a diamond: at its corners.
    class CornersTerminal < SidesTerminal
      def attachment_points(_toward)
        [[[box.cx, box.y], [0, -1]], [[box.cx, box.bottom], [0, 1]], [[box.x, box.cy], [-1, 0]], [[box.right, box.cy], [1, 0]]]
          .select { |_, direction| @directions.include?(direction) }.map { |point, direction| [point.map(&:round), direction] }
      end
    end
  end
end
