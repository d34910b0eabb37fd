# frozen_string_literal: true

module Basalt
  module Layout
    # Where a label can stand along a line, best first.
    module LabelPlaces
      STEP = 12
      # So many places of a long line are tried, at about.
      MOST = 120
      OUT = 15
      # How far from its end of a line a label is still understood as the end's, px.
      NEAR = 360

      module_function

      # @param points [Array] the line, from the label's end on
      # @param w [Numeric] width of the label
      # @param out [Numeric] how far the sign at the end of the line reaches, px
      # @yieldparam place [Array(Numeric, Numeric)] a middle; each is worked out when it is asked for: the first are good enough as a rule
      def near_end(points, w, h, out = 0, &)
        length = Polyline.length(points)
        first = out + (points[0][0] == points[1][0] ? OUT : (w / 2.0) + 8)
        yield at(points, length / 2.0) if length < (2 * first) + STEP
        first.step([length - (h / 2.0), first + NEAR].min, STEP) { |distance| yield at(points, distance) }
        beside(points, w, h).each(&)
      end

      # @yieldparam place [Array(Numeric, Numeric)] a middle, worked out as in near_end
      def in_middle(points, w, h, &)
        along(points, &)
        beside(points, w, h).each(&)
      end

      # On the line itself.
      #
      # @yieldparam place [Array(Numeric, Numeric)] a middle
      def along(points, &)
        length = Polyline.length(points)
        on_segments(points).each(&)
        20.step([length - 20, 20].max, [STEP, length / MOST].max) { |distance| yield at(points, distance) }
      end

      # The middle and the quarters of each segment, longest first.
      def on_segments(points)
        points.each_cons(2).sort_by { |one, other| -span(one, other) }.flat_map do |one, other|
          [0.5, 0.3, 0.7].map { |part| [one[0] + ((other[0] - one[0]) * part), one[1] + ((other[1] - one[1]) * part)] }
        end
      end

      # To the right of an upright line, above a level one.
      def beside(points, w, h)
        on_segments(points).flat_map { |x, y| [[x + (w / 2.0) + 4, y], [x, y - h + 4], [x - (w / 2.0) - 4, y], [x, y + h - 4]] }
      end

      # Clear of the line: above or beneath what is level, at either side of what is upright.
      def aside(points, w, h)
        points.each_cons(2).sort_by { |one, other| -span(one, other) }.flat_map do |one, other|
          x, y = (one[0] + other[0]) / 2.0, (one[1] + other[1]) / 2.0
          one[1] == other[1] ? [[x, y - h - 3], [x, y + h + 3]] : [[x + (w / 2.0) + 8, y], [x - (w / 2.0) - 8, y]]
        end
      end

      def span(one, other) = (one[0] - other[0]).abs + (one[1] - other[1]).abs

      # @return [Array(Numeric, Numeric)] the point so far along the line
      def at(points, distance)
        one = points.first
        points.each do |other|
          length = span(one, other)
          if distance <= length && !one.equal?(other)
            part = length.zero? ? 0 : distance / length.to_f
            return [one[0] + ((other[0] - one[0]) * part), one[1] + ((other[1] - one[1]) * part)]
          end
          distance -= length
          one = other
        end
        points.last
      end
    end
  end
end
