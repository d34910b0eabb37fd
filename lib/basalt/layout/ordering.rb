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
      # Where there are very many cells, fewer rounds: so many cells are looked at in all of them, but in a few rounds at least.
      CELLS = 400_000
      FEWEST = 3
      # What a round has to bring, as a share of the crossings, for there to be another one.
      LEAST = 0.002

      # @param levels [Array<Array<Integer>>] cells of each level in a first order, numbered from 0 on
      # @param above [Array<Array<Integer>>] neighbours of each cell on the level above
      # @param below [Array<Array<Integer>>] neighbours on the level below
      # @param beside [Array<Array<Integer>>] neighbours on the same level
      def initialize(levels, above, below, beside)
        @levels = levels
        @crossings = Crossings.new(above, below, beside)
        @exchange = Exchange.new(above, below, beside, @crossings)
        @neighbours = above.zip(below, beside).map { |near| near.flatten(1) }
      end

      # @return [Array<Array<Integer>>]
      def best
        best = @exchange.call(@levels)
        fewest = @crossings.count(best)
        levels = @levels
        rounds.times do |round|
          break if fewest.zero?

          levels = @exchange.call(smooth(levels, round.zero? ? FIRST : AGAIN))
          count = @crossings.count(levels)
          enough = round.positive? && count > fewest * (1 - LEAST)
          best, fewest = levels, count if count < fewest
          break if enough
        end
        best
      end

      private

      def rounds = (CELLS / [@neighbours.length, 1].max).clamp(FEWEST, ROUNDS)

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
