# frozen_string_literal: true

module Basalt
  module Data
    # How the kinds of an entity are kept.
    class StrategySlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        words = matcher.tokens[at, 2].to_a.take_while(&:word?).map { |token| token.text }
        known = Logical::Kindred::STRATEGIES.find { |phrase| words.first(phrase.split.length) == phrase.split }
        return matcher.expect(at, Logical::Kindred::STRATEGIES.join(" or ")) unless known

        yield known, at + known.split.length
      end
    end
  end
end
