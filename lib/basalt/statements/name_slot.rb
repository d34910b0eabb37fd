# frozen_string_literal: true

module Basalt
  module Statements
    # A name to the end of the line or the next mark, with any words in it.
    class NameSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return yield(Naming.new(token.text), at + 1) if token.quoted?

        words = matcher.tokens[at..].take_while(&:word?)
        yield Naming.new(words.map(&:text).join(" ")), at + words.length
      end
    end
  end
end
