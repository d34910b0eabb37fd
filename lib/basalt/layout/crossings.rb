# frozen_string_literal: true

module Basalt
  module Layout
    # Counts where lines would cross in an order of the levels: between neighbouring levels
    # (Barth, Jünger and Mutzel, 2002), and where a line joins two of one level, over or under
    # what stands between them, whichever meets less.
    class Crossings
      # @param above [Hash{Object => Array}, Array<Array>] neighbours of each cell on the level above
      # @param below [Hash{Object => Array}, Array<Array>] those on the level below
      # @param beside [Hash{Object => Array}, Array<Array>] those on the same level
      def initialize(above, below, beside)
        @above = above
        @below = below
        @beside = beside
      end

      # @param levels [Array<Array>]
      # @return [Integer]
      def count(levels)
        levels.each_cons(2).sum { |upper, lower| between(upper, lower) } + levels.sum { |level| within(level) }
      end

      # @param level [Array]
      # @return [Proc] tells of two places in the level whether a line between them is better under it
      def aside(level)
        over, under = sums(level)
        ->(one, other) do
          one, other = [one, other].minmax
          under[other] - under[one + 1] < over[other] - over[one + 1]
        end
      end

      # What a line to a neighbour further on meets at a cell that it passes.
      def met(cell) = [@above.fetch(cell, []).length, @below.fetch(cell, []).length].min

      private

      def between(upper, lower)
        place = lower.each_with_index.to_h
        inversions(upper.flat_map { |cell| @below.fetch(cell, []).filter_map { |other| place[other] }.sort }, lower.length)
      end

      def within(level)
        return 0 if level.all? { |cell| @beside.fetch(cell, []).empty? }

        over, under = sums(level)
        place = level.each_with_index.to_h
        level.sum do |cell|
          from = place[cell]
          @beside
            .fetch(cell, [])
            .map { |other| place[other] }
            .select { |to| to > from }
            .sum { |to| [over[to] - over[from + 1], under[to] - under[from + 1]].min }
        end
      end

      # How many lines lead upwards, and downwards, from all cells before each place.
      def sums(level)
        [@above, @below].map do |neighbours|
          level.each_with_object([0]) { |cell, sums| sums << (sums.last + neighbours.fetch(cell, []).length) }
        end
      end

      # Pairs out of order, counted in a tree of sums.
      def inversions(list, size)
        tree = Array.new(size + 1, 0)
        list.each_with_index.sum do |value, index|
          not_after = prefix(tree, value + 1)
          add(tree, value + 1)
          index - not_after
        end
      end

      def prefix(tree, at)
        sum = 0
        while at.positive?
          sum += tree[at]
          at -= at & -at
        end
        sum
      end

      def add(tree, at)
        while at < tree.length
          tree[at] += 1
          at += at & -at
        end
      end
    end
  end
end
