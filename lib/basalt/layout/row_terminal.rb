# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at one row of a box: at its left and at its right side.
    class RowTerminal < BoxTerminal
      # @param y [Numeric] of the row
      def initialize(box, y)
        super(box)
        @y = y.round
      end

      def middle = [box.cx, @y]
      def attachment_points(_toward) = [[[box.x, @y], [-1, 0]], [[box.right, @y], [1, 0]]]
    end
  end
end
