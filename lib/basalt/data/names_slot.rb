# frozen_string_literal: true

module Basalt
  module Data
    # Names of columns, separated by commas.
    class NamesSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        names = []
        loop do
          token = matcher.token(at)
          return matcher.expect(at, "a column") if token.nil? || token.mark?

          names << Statements::Naming.new(token.text)
          at += 1
          break unless matcher.token(at)&.literal?(",")

          at += 1
        end
        yield names, at
      end
    end
  end
end
