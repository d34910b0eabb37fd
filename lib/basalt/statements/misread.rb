# frozen_string_literal: true

module Basalt
  module Statements
    # A statement that cannot be taken: which word, what could stand there, the nearest word or
    # name that is known, a sentence that would be right, and in a file the line.
    class Misread < Mistake
      # What could stand there is told in so many words at most, and of a file so many lines.
      MOST_WORDS = 3
      MOST_LINES = 50

      def initialize(reason, word: nil, expected: [], nearest: nil, example: nil, line: nil, at: nil, others: [])
        @reason = reason
        @word = word
        @expected = expected
        @nearest = nearest
        @example = example
        @line = line
        @at = at
        @others = others
        super([sentence, *others.first(MOST_LINES - 1).map(&:message), *more].join("\n"))
      end

      # +at+ is the character (from 0) where the word begins; +others+ are those of other lines.
      attr_reader :reason, :word, :expected, :nearest, :example, :line, :at, :others

      # @param list [Array<Misread>] in order of lines
      # @return [Misread] that tells all of them
      def self.all(list) = list.first.with(others: list.drop(1))

      def on_line(line) = with(line:)
      def with(**different) = Misread.new(reason, word:, expected:, nearest:, example:, line:, at:, others:, **different)

      private

      def sentence
        parts = [reason]
        parts << "there could stand #{list(expected)}" if expected.any?
        parts << "did you mean “#{nearest}”?" if nearest
        parts << "such as: #{example}" if example
        "#{"line #{line}: " if line}#{parts.join('; ')}"
      end

      def list(words)
        words = words.first(MOST_WORDS)
        words.length > 1 ? "#{words[0..-2].join(', ')} or #{words.last}" : words.first
      end

      def more
        left = @others.length - (MOST_LINES - 1)
        left.positive? ? ["and #{English.count(left, 'other line')}"] : []
      end
    end
  end
end
