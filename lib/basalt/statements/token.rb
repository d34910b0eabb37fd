# frozen_string_literal: true

module Basalt
  module Statements
    # A word, a quoted name or a mark of a statement, and where it stood (characters from 0).
    Token = Value.of(:text, :type, :from, :to) do
      def word? = type == :word
      def quoted? = type == :quoted
      def mark? = type == :mark
      def literal?(word) = type != :quoted && text == word
    end
  end
end
