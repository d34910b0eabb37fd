# frozen_string_literal: true

module Basalt
  module Layout
    # One scale across all levels on which every cell comes to stand near all it is joined to:
    # each goes half the way to the mean of its neighbours, again and again, and the ranks are
    # kept evenly apart. Cells far apart in the whole graph come apart, which sweeps from level
    # to level do not see (Koren and Harel, "Axis-by-Axis Stress Minimization", 2003, order levels
    # after such a scale; ours is the power iteration of Hall, 1970, on ranks).
    class Smoothing
      # @param levels [Array<Array<Integer>>] cells, which are numbers, in the order from which to set out
      # @param neighbours [Array<Array<Integer>>] of every cell on any level
      def initialize(levels, neighbours)
        @levels = levels
        @neighbours = neighbours
        @cells = levels.flatten(1)
        @at = Array.new(neighbours.length)
        @ranks = Array.new(neighbours.length) { |rank| rank / neighbours.length.to_f }
        levels.each { |level| level.each_with_index { |cell, index| @at[cell] = (index + 0.5) / level.length } }
      end

      # One step of all cells.
      def step
        moved = @neighbours.each_with_index.map { |others, cell| others.empty? ? @at[cell] : (@at[cell] + mean(others)) / 2 }
        @cells.sort_by { |cell| moved[cell] }.each_with_index { |cell, rank| @at[cell] = @ranks[rank] }
      end

      # @return [Array<Array<Integer>>] the levels in the order of the scale
      def levels
        @levels.map { |level| level.sort_by { |cell| @at[cell] } }
      end

      private

      # Nearly all cells are lanes, which have one neighbour above and one below.
      def mean(others)
        return (@at[others[0]] + @at[others[1]]) / 2 if others.length == 2

        others.sum { |other| @at[other] } / others.length
      end
    end
  end
end
