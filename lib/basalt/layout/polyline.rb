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

      # @return [Array<Box>] one for each segment
      def boxes(points) = points.each_cons(2).map { |one, other| Box.along(one, other) }

      def length(points) = points.each_cons(2).sum { |one, other| (one[0] - other[0]).abs + (one[1] - other[1]).abs }
    end
  end
end
