# frozen_string_literal: true

module Basalt
  module Statements
    # A word, a quoted name, a mark of a statement or a quote that is not closed, and where it stood (characters from 0).
    Token = Value.of(:text, :type, :from, :to) do
      def word? = type == :word
      def quoted? = type == :quoted
      def mark? = type == :mark
      def unclosed? = type == :unclosed
      def literal?(word) = type != :quoted && text == word
    end
  end
end
