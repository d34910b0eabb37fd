# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at rails, which are level lines: anywhere along them, from above
    # and from below.
    class RailTerminal
      STEPS = [0, -14, 14, -28, 28, -56, 56].freeze

      # @param rails [Array<Array(Numeric, Numeric, Numeric)>] left x, right x and y of each
      def initialize(rails)
        @rails = rails
      end

      def middle = [(@rails.first[0] + @rails.first[1]) / 2.0, @rails.first[2]]

      # (see BoxTerminal#doors)
      def doors(toward)
        @rails.sort_by { |_, _, y| (y - toward[1]).abs }.flat_map do |left, right, y|
          xs = STEPS.map { |step| (toward[0] + step).clamp(left + 6, right - 6).round }.uniq
          xs.flat_map { |x| [[[x, y], [0, -1]], [[x, y], [0, 1]]] }
        end
      end
    end
  end
end
