# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at a box that has something beside it: along some of its sides.
    class SidesTerminal < BoxTerminal
      # @param directions [Array<Array(Integer, Integer)>] in which lines may leave
      def initialize(box, directions)
        super(box)
        @directions = directions
      end

      def attachment_points(toward) = super.select { |_, direction| @directions.include?(direction) }
    end
  end
end
