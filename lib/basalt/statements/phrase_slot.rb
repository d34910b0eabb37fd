# frozen_string_literal: true

module Basalt
  module Statements
    # A few words without numbers, shortest first, such as a verb; or quoted.
    class PhraseSlot
      WORDS = 6

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        return yield(Naming.new(matcher.token(at).text), at + 1) if matcher.token(at)&.quoted?

        words = matcher.tokens[at, WORDS].to_a.take_while { |t| t.word? && !t.text.match?(/\A\d/) }.map(&:text)
        return matcher.expect(at, "a verb") if words.empty?

        (1..words.length).each { |count| yield Naming.new(words.first(count).join(" ")), at + count }
      end
    end
  end
end
