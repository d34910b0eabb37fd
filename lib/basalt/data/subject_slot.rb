# frozen_string_literal: true

module Basalt
  module Data
    # A name in front of "is", known or not; where no "is" follows the sentence is another one.
    class SubjectSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return yield(Statements::Naming.new(token.text), at + 1) if token.quoted?

        words = matcher.tokens[at..].take_while { |one| one.word? && !one.literal?("is") }
        return matcher.expect(at, "a name") unless words.any? && matcher.token(at + words.length)&.literal?("is")

        yield Statements::Naming.new(words.map(&:text).join(" ")), at + words.length
      end
    end
  end
end
