# frozen_string_literal: true

module Basalt
  module Data
    # The words for a cardinality.
    class CardinalitySlot
      WORDS = ["exactly one", "zero or one", "one or more", "zero or more", "many"].freeze
      # Other ways to say the same.
      ALIKE = {
        "at most one" => "zero or one",
        "at least one" => "one or more",
        "one and only one" => "exactly one",
        "any number of" => "zero or more"
      }.freeze

      KNOWN = (WORDS + ALIKE.keys).to_h { |phrase| [phrase.split, ALIKE.fetch(phrase, phrase)] }.freeze
      private_constant :KNOWN

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at, &found)
        matcher.expect(at, "a cardinality such as “zero or more”")
        words = matcher.tokens[at, 4].to_a.take_while(&:word?).map(&:text)
        phrase, known = KNOWN.find { |phrase, _| phrase.first == words.first && words.first(phrase.length) == phrase }
        return yield(known, at + phrase.length) if known

        range(matcher, words, at, &found)
      end

      private

      def range(matcher, words, at)
        words = words.first(3)
        return unless words.join(" ").match?(/\A\d{1,6} to \d{1,6}\z/)

        least, most = words.values_at(0, 2).map { |word| Integer(word, 10) }
        return matcher.refuse(at, "#{words.join(" ")} runs backwards") if least > most || most.zero?

        yield "#{least} to #{most}", at + 3
      end
    end
  end
end
