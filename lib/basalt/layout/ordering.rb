# frozen_string_literal: true

module Basalt
  module Layout
    # Orders the cells of each level so that few lines cross: all levels along one smooth scale,
    # then neighbours change places while that helps (see Exchange), and both again
    # from there for as long as it does.
    class Ordering
      FIRST = 60
      AGAIN = 5
      # Smoothing goes past the best order; it is looked at after every few steps.
      LOOK = 5
      ROUNDS = 24

      # @param levels [Array<Array>] cells of each level in a first order
      # @param above [Hash{Object => Array}] neighbours on the level above
      # @param below [Hash{Object => Array}] neighbours on the level below
      # @param beside [Hash{Object => Array}] neighbours on the same level
      def initialize(levels, above, below, beside)
        @cells = levels.flatten(1)
        number = @cells.each_with_index.to_h
        @above, @below, @beside =
          [above, below, beside].map { |table| @cells.map { |cell| table.fetch(cell, []).map { |other| number.fetch(other) } } }
        @levels = levels.map { |level| level.map { |cell| number.fetch(cell) } }
        @crossings = Crossings.new(@above, @below, @beside)
        @exchange = Exchange.new(@above, @below, @beside, @crossings)
        @neighbours = @cells.each_index.map { |cell| @above[cell] + @below[cell] + @beside[cell] }
      end

      # @return [Array<Array>]
      def best = ordered.map { |level| level.map { |cell| @cells[cell] } }

      private

      # From here on cells are numbers: their tables are asked very often.
      def ordered
        best = @exchange.call(@levels)
        fewest = @crossings.count(best)
        levels = @levels
        ROUNDS.times do |round|
          break if fewest.zero?

          levels = @exchange.call(smooth(levels, round.zero? ? FIRST : AGAIN))
          count = @crossings.count(levels)
          break if count >= fewest && round.positive?

          best, fewest = levels, count if count < fewest
        end
        best
      end

      # The best order met on the way of so many steps.
      def smooth(levels, steps)
        scale = Smoothing.new(levels, @neighbours)
        (steps / LOOK)
          .times
          .map do
            LOOK.times { scale.step }
            scale.levels
          end
          .min_by { |order| @crossings.count(order) }
      end
    end
  end
end
