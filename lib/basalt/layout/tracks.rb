# frozen_string_literal: true

module Basalt
  module Layout
    # Tracks beneath each other, on each of which stretches lie apart.
    class Tracks
      # @param apart [Numeric] least distance of two stretches of one track, px
      def initialize(apart)
        @apart = apart
        @lows = []
        @highs = []
      end

      # Takes a stretch of the first track that has room for it.
      #
      # @param from [Integer] the highest track that can be taken
      # @return [Integer] the track
      def take(low, high, from)
        track = from
        track += 1 until (place = room(track, low, high))
        @lows[track].insert(place, low)
        @highs[track].insert(place, high)
        track
      end

      private

      # @return [Integer, nil] where the stretch belongs among those of the track, if it does not meet any
      def room(track, low, high)
        lows = @lows[track] ||= []
        highs = @highs[track] ||= []
        place = lows.bsearch_index { |other| other >= high + @apart } || lows.length
        place if place.zero? || highs[place - 1] <= low - @apart
      end
    end
  end
end
