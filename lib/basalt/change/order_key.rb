# frozen_string_literal: true

module Basalt
  module Change
    # Numbers by which rows are in order, with room between them: a row that is moved gets another one and the rest keep
    # theirs. Only where no number is left between two neighbours are all numbered afresh.
    module OrderKey
      ROOM = 65_536
      # What the ranks of parts may be: half of what their column holds.
      RANKS = (-(2**30)..(2**30))

      module_function

      # @param ranks [Array<Integer>] of those that are there
      # @return [Integer] for one behind them; with less room where there are very many
      def last(ranks)
        return ROOM if ranks.empty?

        ranks.max + (RANKS.cover?(ranks.max + ROOM) ? ROOM : 1)
      end

      # @param keys [Array<Integer>] of the others, in order
      # @param place [Integer] of the one that is put among them, from 0
      # @param within [Range, nil] what a key may be
      # @return [Array<Integer>] its own key alone; where none is left there, those of all of them and it
      def among(keys, place, within: nil)
        found = between(place.zero? ? nil : keys[place - 1], keys[place])
        return [found] if found && (within.nil? || within.cover?(found))

        room = within ? [ROOM, within.max / (keys.length + 1)].min : ROOM
        Array.new(keys.length + 1) { |index| (index + 1) * room }
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
