# frozen_string_literal: true

module Basalt
  module Statements
    # One word of a certain shape, or a quoted text.
    class WordSlot
      # @param shape [Regexp]
      # @param label [String] what to say was expected
      # @param stops [Boolean] whether a word of this shape ends a name in front of it
      def initialize(shape, label, stops: false, quoted: true, &read)
        @shape = shape
        @label = label
        @stops = stops
        @quoted = quoted
        @read = read || ->(text) { text }
      end

      def stops?(token) = @stops && token.word? && token.text.match?(@shape)

      def candidates(matcher, _node, rest, at)
        token = matcher.token(at)
        return matcher.expect(at, @label) unless token && fits?(token)
        return matcher.expect(at, @label) if token.word? && Grammar.begins?(rest, token.text)

        yield @read.call(token.text), at + 1
      end

      # @return [String] a word that fits, as the label names one
      def sample = @label[/such as ([^\s,]+)/, 1] || (@label.match?(/number/) ? "1" : @label[/\A[a-z]+/]).to_s

      # @return [String] the value as a statement says it
      def write(value)
        text = value.to_s
        bare = text.match?(/\A#{Tokens::WORD}\z/o) && !text.match?(/[:#]/) && !Grammar.words.include?(text)
        bare || !@quoted ? text : Quoting.quote(text)
      end

      private

      def fits?(token)
        token.quoted? ? @quoted : token.word? && token.text.match?(@shape)
      end
    end
  end
end
