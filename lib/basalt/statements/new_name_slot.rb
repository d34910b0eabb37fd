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

        longer = longer(matcher, rest, at + words.length)
        yield Naming.new([*words, longer].map(&:text).join(" ")), at + words.length + 1 if longer
        yield Naming.new(words.map(&:text).join(" ")), at + words.length
      end

      private

      # A word that is there twice is the last of the name too, as in +Sign in in Work Desk+; where names are phrases, also one behind
      # which nothing of what it could begin stands.
      def longer(matcher, rest, at)
        token, other = matcher.token(at), matcher.token(at + 1)
        return unless token&.word? && matcher.begins_only?(token, rest)

        token if (other&.word? && other.text == token.text) || ((other.nil? || other.mark?) && matcher.phrased?(rest))
      end
    end
  end
end
