# frozen_string_literal: true

module Basalt
  module Layout
    # A sparse grid of the edges of boxes: nodes are numbered row by row, and between two
    # neighbours one can pass unless a box stands in the way. To run along another line costs.
    class Grid
      # How near to a box a line may pass, and how near to another line counts as on it, px.
      CLEAR = 3
      BESIDE = 4
      # What no step costs otherwise: a whole number, as all prices are compared very often.
      WALL = 1 << 40

      # @param xs [Array<Numeric>]
      # @param ys [Array<Numeric>]
      def initialize(xs, ys)
        @across = Axis.new(xs)
        @down = Axis.new(ys)
        @xs = @across.values
        @ys = @down.values
        @width = @xs.length
        @level_walls = Array.new(@width * @ys.length, 0)
        @upright_walls = Array.new(@width * @ys.length, 0)
      end

      # +level_walls+ and +upright_walls+ are what stands in the way from each node to the right, and down.
      attr_reader :xs, :ys, :width, :level_walls, :upright_walls

      def size = @width * @ys.length

      # @return [Integer] the node at a point whose x and y are the grid's own
      def node(point) = (@down.from(point[1]) * @width) + @across.from(point[0])
      def point(node) = [x(node), y(node)]
      def x(node) = @xs[node % @width]
      def y(node) = @ys[node / @width]

      # Nothing passes through the box.
      def block(box)
        left, right, top, bottom = box.x - CLEAR, box.right + CLEAR, box.y - CLEAR, box.bottom + CLEAR
        mark_level(left, right, top, bottom, WALL)
        mark_upright(left, right, top, bottom, WALL)
      end

      # Running along the segment costs extra.
      def charge(segment, price)
        return mark_level(segment.x, segment.right, segment.y - BESIDE, segment.bottom + BESIDE, price) if segment.h.zero?

        mark_upright(segment.x - BESIDE, segment.right + BESIDE, segment.y, segment.bottom, price)
      end

      # @param direction [Integer] right, down, left or up, in which there is a node
      # @return [Numeric] what the step there costs: its length, and what stands in the way
      def price(node, direction)
        case direction
        when 0 then x(node + 1) - x(node) + @level_walls[node]
        when 1 then y(node + @width) - y(node) + @upright_walls[node]
        when 2 then x(node) - x(node - 1) + @level_walls[node - 1]
        else y(node) - y(node - @width) + @upright_walls[node - @width]
        end
      end

      private

      def mark_level(left, right, top, bottom, price)
        row, last = @down.above(top), @down.from(bottom)
        return if row >= last

        first, beyond = steps(@across, left, right)
        while row < last
          raise_to(@level_walls, (row * @width) + first, (row * @width) + beyond, 1, price)
          row += 1
        end
      end

      def mark_upright(left, right, top, bottom, price)
        column, last = @across.above(left), @across.from(right)
        return if column >= last

        first, beyond = steps(@down, top, bottom)
        while column < last
          raise_to(@upright_walls, (first * @width) + column, (beyond * @width) + column, @width, price)
          column += 1
        end
      end

      def raise_to(walls, at, beyond, stride, price)
        while at < beyond
          walls[at] = price if walls[at] < price
          at += stride
        end
      end

      # The steps, each from a value to the next, that reach between two bounds: the first, and the one beyond.
      def steps(ruler, low, high)
        first = ruler.above(low) - 1
        [first.negative? ? 0 : first, [ruler.from(high), ruler.length - 1].min]
      end
    end
  end
end
