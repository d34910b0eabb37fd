# frozen_string_literal: true

module Basalt
  module Layout
    # A sparse grid of the edges of boxes: nodes are numbered row by row, and between two
    # neighbours one can pass unless a box stands in the way. To run along another line costs.
    class Grid
      # How near to a box a line may pass, and how near to another line counts as on it, px.
      CLEAR = 3
      BESIDE = 4

      # @param xs [Array<Numeric>]
      # @param ys [Array<Numeric>]
      def initialize(xs, ys)
        @xs = xs.uniq.sort
        @ys = ys.uniq.sort
        @width = @xs.length
        @level_walls = Array.new(@width * @ys.length, 0)
        @upright_walls = Array.new(@width * @ys.length, 0)
      end

      attr_reader :xs, :ys, :width

      def size = @width * @ys.length

      # @return [Integer] the node at a point whose x and y are the grid's own
      def node(point) = (@ys.bsearch_index { |y| y >= point[1] } * @width) + @xs.bsearch_index { |x| x >= point[0] }
      def point(node) = [@xs[node % @width], @ys[node / @width]]

      # Nothing passes through the box.
      def block(box) = mark(box.grow(CLEAR), Float::INFINITY)

      # Running along the segment costs extra.
      def charge(segment, price)
        level = segment.h.zero?
        mark_level(segment.grow(0, BESIDE), price) if level
        mark_upright(segment.grow(BESIDE, 0), price) unless level
      end

      # Price of the step to the right of a node, and of the one down from it, beyond its length.
      def right(node) = @level_walls[node]
      def down(node) = @upright_walls[node]

      private

      def mark(box, price)
        mark_level(box, price)
        mark_upright(box, price)
      end

      def mark_level(box, price)
        rows = strictly(@ys, box.y, box.bottom)
        return if rows.none?

        steps = between(@xs, box.x, box.right)
        rows.each { |row| steps.each { |column| raise_to(@level_walls, (row * @width) + column, price) } }
      end

      def mark_upright(box, price)
        columns = strictly(@xs, box.x, box.right)
        return if columns.none?

        steps = between(@ys, box.y, box.bottom)
        steps.each { |row| columns.each { |column| raise_to(@upright_walls, (row * @width) + column, price) } }
      end

      def raise_to(walls, at, price)
        walls[at] = price if walls[at] < price
      end

      # Indexes of the values between two bounds.
      def strictly(values, low, high)
        first = values.bsearch_index { |value| value > low } || values.length
        beyond = values.bsearch_index { |value| value >= high } || values.length
        first...beyond
      end

      # Indexes of the steps, each from a value to the next, that reach between two bounds.
      def between(values, low, high)
        first = (values.bsearch_index { |value| value > low } || values.length) - 1
        beyond = values.bsearch_index { |value| value >= high } || (values.length - 1)
        ([first, 0].max)...([beyond, values.length - 1].min)
      end
    end
  end
end
