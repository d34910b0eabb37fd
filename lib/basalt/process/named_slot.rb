# frozen_string_literal: true

module Basalt
  module Process
    # A name in front of "consists of".
    class NamedSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return yield(Statements::Naming.new(token.text), at + 1) if token.quoted?

        words = matcher.tokens[at..].take_while { |one| one.word? && !one.literal?("consists") }
        return matcher.expect(at, "a name") unless words.any? && matcher.token(at + words.length)&.literal?("consists")

        yield Statements::Naming.new(words.map(&:text).join(" ")), at + words.length
      end
    end
  end
end
