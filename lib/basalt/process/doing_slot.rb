# frozen_string_literal: true

module Basalt
  module Process
    # What somebody does, in words up to the next mark.
    class DoingSlot
      # Words that begin another sentence about somebody.
      OTHERS = %w[is has gives meets consists to on].freeze

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        if token.nil? || token.mark? || (token.word? && OTHERS.include?(token.text))
          return matcher.expect(at, "what is done, such as “registers the report”")
        end
        return yield(Statements::Naming.new(token.text), at + 1) if token.quoted?

        words = matcher.tokens[at..].take_while(&:word?)
        yield Statements::Naming.new(words.map(&:text).join(" ")), at + words.length
      end
    end
  end
end
