# frozen_string_literal: true

module Basalt
  module Model
    # What the latest acts altered, so that what was worked out before them need not be worked out afresh.
    class RecentDeltas
      MOST_ACTS = 20
      # Of larger acts nothing is kept.
      MOST_ROWS = 200

      def initialize
        @acts = []
      end

      def add(from, to, deltas)
        @acts << [from, to, deltas]
        @acts.shift if @acts.length > MOST_ACTS
        @acts.clear if deltas.length > MOST_ROWS
      end

      # @param from [Integer] a version
      # @param to [Integer] another
      # @return [Array<Change::Delta>, nil] what leads from one to the other; nil where that is not known
      def between(from, to)
        return [] if from == to

        first = @acts.index { |act| act[0] == from }
        last = @acts.index { |act| act[1] == to }
        @acts[first..last].flat_map(&:last) if first && last && first <= last
      end
    end
  end
end
