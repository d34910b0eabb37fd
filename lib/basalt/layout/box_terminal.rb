# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at a box: along its four sides.
    class BoxTerminal
      PLACES = [0.5, 0.3, 0.7, 0.15, 0.85].freeze

      def initialize(box)
        @box = box
      end

      attr_reader :box

      def middle = [box.cx, box.cy]

      # @param _toward [Array(Numeric, Numeric)]
      # @return [Array<Array(Array, Array)>] points, each with the direction in which a line leaves it
      def all_doors(toward) = doors(toward)

      def doors(_toward)
        PLACES.flat_map do |part|
          x = (box.x + (box.w * part)).round
          y = (box.y + (box.h * part)).round
          [[[x, box.y], [0, -1]], [[x, box.bottom], [0, 1]], [[box.x, y], [-1, 0]], [[box.right, y], [1, 0]]]
        end
      end
    end
  end
end
