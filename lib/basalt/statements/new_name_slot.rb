# frozen_string_literal: true

module Basalt
  module Statements
    # A name that need not be known: the words up to the first that this place reads otherwise.
    class NewNameSlot
      def stops?(_token) = false

      def candidates(matcher, _node, rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return yield(Naming.new(token.text), at + 1) if token.quoted?

        words = []
        words << matcher.token(at + words.length) until matcher.ends_name?(matcher.token(at + words.length), rest)
        return matcher.expect(at, "a name") if words.empty?
        return matcher.refuse(at, "a name beside a quote needs quotes around all of it") if words.any?(&:quoted?)

        odd = words.index { |word| word.text.include?(":") }
        return matcher.refuse(at + odd, "“#{Model::Names.short(words[odd].text)}” holds a colon: put the name in double quotes") if odd

        yield Naming.new(words.map(&:text).join(" ")), at + words.length
      end
    end
  end
end
