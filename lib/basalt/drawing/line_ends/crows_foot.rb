# frozen_string_literal: true

module Basalt
  module Drawing
    module LineEnds
      # The signs at the end of a relationship: a foot for many, a bar for one, a ring for none.
      module CrowsFoot
        LONG = 12
        HALF = 6

        module_function

        # @param points [Array] the line, from that end on
        # @param cardinality [Cardinality]
        # @return [Array] shapes
        def shapes(points, cardinality)
          most_sign(points, cardinality.most) + least_sign(points, cardinality.least, cardinality.most)
        end

        def most_sign(points, most)
          return [] unless most
          return [bar(points, 7)] if most == 1

          [-HALF, HALF].map { |side| Shapes.polyline([at(points, LONG, 0), at(points, 0, side)], :line) }
        end

        def least_sign(points, least, most)
          return [] unless least
          return [ring(points, most == 1 ? 14 : LONG + 4)] if least.zero?

          [bar(points, most == 1 ? 11 : LONG + 4)]
        end

        def bar(points, out) = Shapes.polyline([at(points, out, -HALF), at(points, out, HALF)], :line)

        def ring(points, out)
          x, y = at(points, out, 0).map { |number| Shapes.n(number) }
          Shapes.path("M#{x - 4} #{y}A4 4 0 1 0 #{x + 4} #{y}A4 4 0 1 0 #{x - 4} #{y}Z", :outline)
        end

        # The point so far along the first segment, and so far to its side.
        def at(points, out, side)
          (x, y), (to_x, to_y) = points.first(2)
          dx = to_x <=> x
          dy = to_y <=> y
          [x + (dx * out) - (dy * side), y + (dy * out) + (dx * side)]
        end
      end
    end
  end
end
