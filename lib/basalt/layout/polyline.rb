# frozen_string_literal: true

module Basalt
  module Layout
    # Lines of several points, each a pair of x and y.
    module Polyline
      module_function

      # Without points that repeat or lie on a straight run.
      def simplify(points)
        points.each_with_object([]) do |point, kept|
          next if kept.last == point

          kept.pop if kept.length > 1 && straight?(kept[-2], kept[-1], point)
          kept << point
        end
      end

      def straight?(one, two, three)
        (one[0] == two[0] && two[0] == three[0]) || (one[1] == two[1] && two[1] == three[1])
      end

      # The line with its first point moved so far, its first bend going along as far as it must.
      #
      # @param points [Array] at least two
      # @return [Array]
      def drag_start(points, dx, dy)
        start = [points[0][0] + dx, points[0][1] + dy]
        return with_corner(start, points[1], upright?(points[0], points[1])) if points.length == 2

        bend = upright?(points[0], points[1]) ? [start[0], points[1][1]] : [points[1][0], start[1]]
        simplify([start, bend, *points.drop(2)])
      end

      # The line from its beginning to the place on it that is nearest to a point.
      def until(points, (x, y))
        segments =
          points.each_cons(2).map { |one, other| [[x.clamp(*[one[0], other[0]].minmax), y.clamp(*[one[1], other[1]].minmax)], one] }
        index = segments.each_index.min_by { |at| (segments[at][0][0] - x).abs + (segments[at][0][1] - y).abs }
        [*points.first(index + 1), segments[index][0]]
      end

      # The line without so much at each end; a first or last run that is shorter loses half of itself.
      def shortened(points, by)
        cut = points.dup
        cut[0] = nearer(cut[0], cut[1], by)
        cut[-1] = nearer(cut[-1], cut[-2], by)
        cut
      end

      # A point so much nearer to another, or half way to it.
      def nearer((x, y), (to_x, to_y), by)
        span = (x - to_x).abs + (y - to_y).abs
        part = span.zero? ? 0 : [by, span / 2.0].min / span.to_f
        [x + ((to_x - x) * part), y + ((to_y - y) * part)]
      end

      # @return [Array(Numeric, Numeric)] the point so far along the line; its last where it is shorter
      def at(points, distance)
        points.each_cons(2) do |(x, y), (to_x, to_y)|
          span = (x - to_x).abs + (y - to_y).abs
          return [x + ((to_x - x) * distance / span.to_f), y + ((to_y - y) * distance / span.to_f)] if span.positive? && distance <= span

          distance -= span
        end
        points.last
      end

      # @return [Array(Numeric, Numeric)] the middle of the longest run
      def middle(points)
        one, other = points.each_cons(2).max_by { |a, b| (a[0] - b[0]).abs + (a[1] - b[1]).abs }
        [(one[0] + other[0]) / 2.0, (one[1] + other[1]) / 2.0]
      end

      def upright?(one, other) = one[0] == other[0]

      # A straight run between two points that are no longer in line gets a step in its middle.
      def with_corner(one, other, upright)
        return one, other if one[0] == other[0] || one[1] == other[1]

        if upright
          middle = ((one[1] + other[1]) / 2.0).round
          [one, [one[0], middle], [other[0], middle], other]
        else
          middle = ((one[0] + other[0]) / 2.0).round
          [one, [middle, one[1]], [middle, other[1]], other]
        end
      end

      # @return [Array<Box>] one for each segment
      def boxes(points)
        one = nil
        points.each_with_object([]) do |other, found|
          found << Box.along(one, other) if one
          one = other
        end
      end

      def length(points)
        (1...points.length).sum do |index|
          one, other = points[index - 1], points[index]
          (one[0] - other[0]).abs + (one[1] - other[1]).abs
        end
      end
    end
  end
end
