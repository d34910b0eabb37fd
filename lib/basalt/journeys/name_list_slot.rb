# frozen_string_literal: true

module Basalt
  module Journeys
    # Some words and others, separated by commas.
    class NameListSlot
      BETWEEN = "; "

      def initialize
        @words = Statements::WordsSlot.new
      end

      def stops?(_token) = false

      def candidates(matcher, node, rest, at, &) = gather(matcher, node, rest, at, [], &)

      private

      def gather(matcher, node, rest, at, taken, &found)
        @words.candidates(matcher, node, rest, at) do |words, after|
          so_far = taken + [words]
          gather(matcher, node, rest, after + 1, so_far, &found) if matcher.token(after)&.mark? && matcher.token(after).text == ","
          yield so_far, after
        end
      end
    end
  end
end
