# frozen_string_literal: true

module Basalt
  module Change
    # Numbers by which rows are in order, with room between them: a row that is moved gets another one and the rest keep
    # theirs. Only where no number is left between two neighbours are all numbered afresh.
    module OrderKey
      ROOM = 65_536

      module_function

      # @param keys [Array<Integer>] of those that are there, in order
      # @return [Integer] for one behind them
      def last(keys) = keys.empty? ? ROOM : keys.max + ROOM

      # @param keys [Array<Integer>] of the others, in order
      # @param place [Integer] of the one that is put among them, from 0
      # @return [Array<Integer>] its own key alone; where none is left there, those of all of them and it
      def among(keys, place)
        before = place.zero? ? nil : keys[place - 1]
        after = keys[place]
        found = between(before, after)
        found ? [found] : Array.new(keys.length + 1) { |index| (index + 1) * ROOM }
      end

      # @return [Integer, nil] nil where there is none
      def between(before, after)
        return after ? after - ROOM : ROOM unless before
        return before + ROOM unless after

        before + ((after - before) / 2) if after - before > 1
      end
    end
  end
end
