# frozen_string_literal: true

module Basalt
  module Layout
    # How high what stands on a line reaches: told over any stretch of it, and raised over any, in
    # as many steps as the number of bounds has digits (a tree of halves, after Bentley, 1977).
    class Skyline
      # @param bounds [Array<Numeric>] wherever something begins or ends
      def initialize(bounds)
        @place = bounds.uniq.sort.each_with_index.to_h
        @size = 1
        @size *= 2 while @size < @place.length
        # Of each half: how high it is all over, and how high at its highest.
        @all, @most = Array.new(2) { Array.new(2 * @size, -1) }
      end

      # @param low [Numeric] a bound
      # @param high [Numeric] a bound further on
      # @param height [Integer]
      def raise(low, high, height) = lift(1, 0, @size, @place.fetch(low), @place.fetch(high), height)

      # @return [Integer] between two bounds; -1 where nothing stands
      def highest(low, high) = look(1, 0, @size, @place.fetch(low), @place.fetch(high))

      private

      def lift(node, left, right, low, high, height)
        @most[node] = height if height > @most[node]
        return (@all[node] = height if height > @all[node]) if low <= left && right <= high

        middle = (left + right) / 2
        lift(2 * node, left, middle, low, high, height) if low < middle
        lift((2 * node) + 1, middle, right, low, high, height) if high > middle
      end

      def look(node, left, right, low, high)
        return @most[node] if low <= left && right <= high

        middle = (left + right) / 2
        found = @all[node]
        found = [found, look(2 * node, left, middle, low, high)].max if low < middle
        found = [found, look((2 * node) + 1, middle, right, low, high)].max if high > middle
        found
      end
    end
  end
end
