# frozen_string_literal: true

module Basalt
  module Layout
    # One scale across all levels on which every cell comes to stand near all it is joined to:
    # each goes half the way to the mean of its neighbours, again and again, and the ranks are
    # kept evenly apart. Cells far apart in the whole graph come apart, which sweeps from level
    # to level do not see (Koren and Harel, "Axis-by-Axis Stress Minimization", 2003, order levels
    # after such a scale; ours is the power iteration of Hall, 1970, on ranks).
    class Smoothing
      # @param levels [Array<Array>] cells in the order from which to set out
      # @param neighbours [Hash{Object => Array}, Array<Array>] of every cell on any level
      def initialize(levels, neighbours)
        @levels = levels
        cells = levels.flatten(1)
        number = cells.each_with_index.to_h
        @near = cells.map { |cell| neighbours.fetch(cell).map { |other| number.fetch(other) } }
        @members = levels.map { |level| level.map { |cell| number.fetch(cell) } }
        @cells = cells
        @at = Array.new(cells.length)
        @members.each { |level| level.each_with_index { |cell, index| @at[cell] = (index + 0.5) / level.length } }
      end

      # One step of all cells.
      def step
        moved =
          @near.each_with_index.map do |others, cell|
            others.empty? ? @at[cell] : (@at[cell] + (others.sum { |other| @at[other] } / others.length)) / 2
          end
        size = moved.length.to_f
        (0...moved.length).sort_by { |cell| moved[cell] }.each_with_index { |cell, rank| @at[cell] = rank / size }
      end

      # @return [Array<Array>] the levels in the order of the scale
      def levels
        @members.map { |level| level.sort_by { |cell| @at[cell] }.map { |cell| @cells[cell] } }
      end
    end
  end
end
