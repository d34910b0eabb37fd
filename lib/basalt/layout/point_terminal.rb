# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end only at one point of a box, such as a port on its edge.
    class PointTerminal < BoxTerminal
      # @param point [Array(Numeric, Numeric)]
      # @param direction [Array(Integer, Integer)] in which a line leaves it
      def initialize(box, point, direction)
        super(box)
        @point = point
        @direction = direction
      end

      def middle = @point
      def attachment_points(_toward) = [[@point, @direction]]
    end
  end
end
