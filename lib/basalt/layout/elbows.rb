# frozen_string_literal: true

module Basalt
  module Layout
    # The plain orthogonal shapes between two attachment_points: straight, one bend, two bends, and two
    # bends between stubs.
    module Elbows
      SHARES = [0.5, 0.2, 0.8].freeze
      DETOURS = [40, 90].freeze
      # A line that is no further from straight than this is straight, px.
      JOG = 2

      module_function

      # @param one [Array(Array, Array)] point and direction
      # @param other [Array(Array, Array)]
      # @param stub [Numeric] least length of a first and last segment
      # @return [Array<Array>] polylines
      def between(one, other, stub)
        (p, d), (q, e) = one, other
        upright = d[0].zero?
        return bent(p, d, q, e, stub) if upright != e[0].zero?

        across(p, d, q, e, upright, stub)
      end

      # One bend, where both ends face it.
      def bent(p, d, q, e, stub)
        corner = d[0].zero? ? [p[0], q[1]] : [q[0], p[1]]
        ahead?(p, d, corner, stub) && ahead?(q, e, corner, stub) ? [[p, corner, q]] : []
      end

      def across(p, d, q, e, upright, stub)
        along = upright ? 1 : 0
        aside = 1 - along
        return around(p, d, q, e, along, stub) unless d[along] == -e[along] && ahead?(p, d, q, 1)

        (p[aside] - q[aside]).abs <= JOG && ahead?(q, e, p, 1) ? [straight(p, q, along)] : opposite(p, q, along, stub)
      end

      def straight(p, q, along) = [p, along == 1 ? [p[0], q[1]] : [q[0], p[1]]]

      def opposite(p, q, along, stub)
        room = (q[along] - p[along]).abs
        return [] if room < 2 * stub

        SHARES.map do |share|
          at = (p[along] + ((q[along] - p[along]) * share)).round
          step(p, q, along, at)
        end
      end

      # Both ends leave to the same side: out, across and back.
      def around(p, d, q, e, along, stub)
        return [] unless d[along] == e[along]

        edge = d[along].positive? ? [p[along], q[along]].max : [p[along], q[along]].min
        ([stub] + DETOURS).map { |out| step(p, q, along, edge + (out * d[along])) }
      end

      def step(p, q, along, at)
        along == 1 ? [p, [p[0], at], [q[0], at], q] : [p, [at, p[1]], [at, q[1]], q]
      end

      def ahead?(point, direction, other, least)
        ((other[0] - point[0]) * direction[0]) + ((other[1] - point[1]) * direction[1]) >= least
      end
    end
  end
end
