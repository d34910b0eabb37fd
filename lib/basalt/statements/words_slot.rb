# frozen_string_literal: true

module Basalt
  module Statements
    # A few words, up to a mark or to a word that this place reads otherwise; or a quoted text.
    class WordsSlot
      def stops?(_token) = false

      def candidates(matcher, _node, rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "some words") if token.nil? || token.mark?
        return yield(token.text, at + 1) if token.quoted?

        stops = Grammar.first_words(rest)
        words = matcher.tokens[at..].take_while { |one| one.word? && !stops.include?(one.text) }
        words.empty? ? matcher.expect(at, "some words") : yield(words.map(&:text).join(" "), at + words.length)
      end

      # @return [String] the value as a statement says it
      def write(value) = Slots.fetch(:word).write(value)
    end
  end
end
