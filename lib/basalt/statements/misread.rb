# frozen_string_literal: true

module Basalt
  module Statements
    # A statement that cannot be taken: which word, what was expected there, the nearest
    # known name, and in a file the line.
    class Misread < Mistake
      def initialize(reason, word: nil, expected: [], nearest: nil, line: nil, at: nil)
        @reason = reason
        @word = word
        @expected = expected
        @nearest = nearest
        @line = line
        @at = at
        super(sentence)
      end

      # +at+ is the character (from 0) where the word begins.
      attr_reader :reason, :word, :expected, :nearest, :line, :at

      def on_line(line)
        Misread.new(reason, word:, expected:, nearest:, line:, at:)
      end

      private

      def sentence
        parts = [reason]
        parts << "expected #{list(expected)}" if expected.any?
        parts << "did you mean “#{nearest}”?" if nearest
        "#{"line #{line}: " if line}#{parts.join('; ')}"
      end

      def list(words)
        words = words.first(8)
        words.length > 1 ? "#{words[0..-2].join(', ')} or #{words.last}" : words.first
      end
    end
  end
end
