# frozen_string_literal: true

module Basalt
  module Statements
    # One of a few phrases.
    class ChoiceSlot
      # @param phrases [Array<String>]
      def initialize(phrases)
        @phrases = phrases
        @longest = phrases.map { |phrase| phrase.split.length }.max
      end

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return yield(token.text, at + 1) if token&.quoted? && @phrases.include?(token.text)

        words = matcher.tokens[at, @longest].to_a.take_while(&:word?).map(&:text)
        known = @phrases.find { |phrase| words.first(phrase.split.length) == phrase.split }
        return matcher.expect(at, @phrases.map { |phrase| "“#{phrase}”" }.join(" or ")) unless known

        yield known, at + known.split.length
      end
    end
  end
end
