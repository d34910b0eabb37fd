# frozen_string_literal: true

module Basalt
  module Data
    # Names of columns, separated by commas; a word that the statement goes on with ends them.
    class NamesSlot
      def stops?(_token) = false

      def candidates(matcher, _node, rest, at)
        names = []
        loop do
          token = matcher.token(at)
          return matcher.expect(at, "a column") if token.nil? || token.mark?

          names << Statements::Naming.new(token.text)
          at += 1
          break unless matcher.token(at)&.literal?(",") && !qualities?(rest, matcher.token(at + 1))

          at += 1
        end
        yield names, at
      end

      private

      def qualities?(_rest, token) = token.nil?
    end
  end
end
