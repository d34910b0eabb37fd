# frozen_string_literal: true

module Basalt
  module Statements
    # The rest of the line as it stands.
    class TextSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "some text") unless token

        yield matcher.text[token.from..].strip, matcher.tokens.length
      end
    end
  end
end
