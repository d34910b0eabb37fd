# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at a box: along its four sides, so far apart that two lines can be told apart.
    class BoxTerminal
      STEPS = [0, -1, 1, -2, 2].freeze
      # Least distance of two places, px, and as a part of the side; and of any from a corner, px.
      APART = 18
      SHARE = 0.18
      CORNER = 5

      def initialize(box)
        @box = box
      end

      attr_reader :box

      def middle = [box.cx, box.cy]

      # @param _toward [Array(Numeric, Numeric)]
      # @return [Array<Array(Array, Array)>] points, each with the direction in which a line leaves it
      def all_attachment_points(toward) = attachment_points(toward)

      def attachment_points(_toward)
        places(box.w).flat_map { |aside| (box.cx + aside).round.then { |x| [[[x, box.y], [0, -1]], [[x, box.bottom], [0, 1]]] } } +
          places(box.h).flat_map { |aside| (box.cy + aside).round.then { |y| [[[box.x, y], [-1, 0]], [[box.right, y], [1, 0]]] } }
      end

      private

      # @return [Array<Numeric>] from the middle of a side, px
      def places(side)
        step = [APART, side * SHARE].max
        STEPS.map { |number| number * step }.select { |aside| aside.zero? || aside.abs <= (side / 2.0) - CORNER }
      end
    end
  end
end
