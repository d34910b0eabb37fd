# frozen_string_literal: true

module Basalt
  module Layout
    # Counts where lines would cross in an order of the levels: between neighbouring levels
    # (Barth, Jünger and Mutzel, 2002), and where a line joins two of one level, over or under
    # what stands between them, whichever meets less.
    class Crossings
      # @param above [Array<Array<Integer>>] neighbours of each cell on the level above; cells are numbers
      # @param below [Array<Array<Integer>>] those on the level below
      # @param beside [Array<Array<Integer>>] those on the same level
      def initialize(above, below, beside)
        @above = above
        @below = below
        @beside = beside
      end

      # @param levels [Array<Array<Integer>>]
      # @return [Integer]
      def count(levels)
        place = places(levels)
        levels.each_cons(2).sum { |upper, lower| between(upper, lower, place) } + levels.sum { |level| within(level, place) }
      end

      # @param level [Array<Integer>]
      # @return [Proc] tells of two places in the level whether a line between them is better under it
      def aside(level)
        over, under = sums(level)
        ->(one, other) do
          one, other = [one, other].minmax
          under[other] - under[one + 1] < over[other] - over[one + 1]
        end
      end

      # What a line to a neighbour further on meets at a cell that it passes.
      def met(cell) = [@above[cell].length, @below[cell].length].min

      private

      def places(levels)
        levels.each_with_object(Array.new(@above.length)) do |level, place|
          level.each_with_index { |cell, index| place[cell] = index }
        end
      end

      def between(upper, lower, place)
        list = []
        upper.each do |cell|
          others = @below[cell]
          others.length == 1 ? list << place[others[0]] : list.concat(place.values_at(*others).sort)
        end
        inversions(list, lower.length)
      end

      def within(level, place)
        return 0 if level.all? { |cell| @beside[cell].empty? }

        over, under = sums(level)
        level.sum do |cell|
          from = place[cell]
          further = place.values_at(*@beside[cell]).select { |to| to > from }
          further.sum { |to| [over[to] - over[from + 1], under[to] - under[from + 1]].min }
        end
      end

      # How many lines lead upwards, and downwards, from all cells before each place.
      def sums(level)
        [@above, @below].map do |neighbours|
          level.each_with_object([0]) { |cell, sums| sums << (sums.last + neighbours[cell].length) }
        end
      end

      # Pairs out of order, counted in a tree of sums; what is not before any other is in none.
      def inversions(list, size)
        tree = Array.new(size + 1, 0)
        out = index = highest = 0
        while index < list.length
          value = list[index]
          value < highest ? out += index - prefix(tree, value + 1) : highest = value
          add(tree, value + 1)
          index += 1
        end
        out
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
