# frozen_string_literal: true

module Basalt
  module Data
    # What happens to what refers to a row that goes.
    class DeletingSlot
      WORDS = ["cascade", "set null", "restrict"].freeze

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        words = matcher.tokens[at, 2].to_a.take_while(&:word?).map(&:text)
        known = WORDS.find { |phrase| words.first(phrase.split.length) == phrase.split }
        return matcher.expect(at, WORDS.join(", ")) unless known

        yield known, at + known.split.length
      end
    end
  end
end
