# frozen_string_literal: true

module Basalt
  module Cloud
    # One block of addresses or several, with +and+ between them.
    class PrefixesSlot
      BLOCK = %r{\A[\dA-Fa-f.:]+/\d+\z}
      private_constant :BLOCK

      def stops?(token) = token.word? && token.text.match?(BLOCK)

      def candidates(matcher, _node, _rest, at)
        found = []
        found << matcher.token(at + (2 * found.length)).text while block?(matcher, at, found.length)
        return matcher.expect(at, "a block such as 10.60.0.0/16") if found.empty?

        yield found.join(Prefixes::BETWEEN), at + (2 * found.length) - 1
      end

      def sample = "10.60.0.0/16"

      private

      def block?(matcher, at, count)
        place = at + (2 * count)
        token = matcher.token(place)
        token && stops?(token) && (count.zero? || matcher.token(place - 1)&.literal?("and"))
      end
    end
  end
end
