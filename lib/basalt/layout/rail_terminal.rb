# frozen_string_literal: true

module Basalt
  module Layout
    # Where a line can end at rails, which are level lines: anywhere along them, from above
    # and from below.
    class RailTerminal
      PITCH = 40
      FAR = 60
      STEPS = [0, -14, 14, -28, 28, -56, 56].freeze

      # @param rails [Array<Array(Numeric, Numeric, Numeric)>] left x, right x and y of each
      def initialize(rails)
        @rails = rails
      end

      def middle = [(@rails.first[0] + @rails.first[1]) / 2.0, @rails.first[2]]

      # @return [Boolean] whether a line that ends there still ends at a rail
      def at?((x, y)) = @rails.any? { |left, right, rail| rail == y && x.between?(left + 6, right - 6) }

      # Those near a point, and others all along the rails.
      def all_attachment_points(toward)
        far =
          @rails.flat_map do |left, right, y|
            (left + 6).step([right - 6, left + 6].max, PITCH).flat_map { |x| [[[x.round, y], [0, -1]], [[x.round, y], [0, 1]]] }
          end
        attachment_points(toward) + far.min_by(FAR) { |(x, y), _| (x - toward[0]).abs + (y - toward[1]).abs }
      end

      # (see BoxTerminal#attachment_points)
      def attachment_points(toward)
        @rails
          .sort_by { |_, _, y| (y - toward[1]).abs }
          .flat_map do |left, right, y|
            xs = STEPS.map { |step| (toward[0] + step).clamp(left + 6, right - 6).round }.uniq
            xs.flat_map { |x| [[[x, y], [0, -1]], [[x, y], [0, 1]]] }
          end
      end
    end
  end
end
