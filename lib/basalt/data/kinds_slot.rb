# frozen_string_literal: true

module Basalt
  module Data
    # Names of kinds, separated by commas and "or" (or "and"); they need not be known.
    class KindsSlot
      STOPS = %w[or and complete].freeze

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        names = []
        loop do
          name, at = name(matcher, at)
          return unless name

          names << name
          break unless another?(matcher, at)

          at += 1
        end
        yield names, at
      end

      private

      # A comma, unless the statement goes on with something else behind it.
      def another?(matcher, at)
        token = matcher.token(at)
        return false unless token
        return true if token.literal?("or") || token.literal?("and")

        token.literal?(",") && !matcher.token(at + 1)&.literal?("complete")
      end

      def name(matcher, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return [Statements::Naming.new(token.text), at + 1] if token.quoted?

        words = matcher.tokens[at..].take_while { |one| one.word? && !STOPS.include?(one.text) }
        return matcher.expect(at, "a name") if words.empty?

        [Statements::Naming.new(words.map(&:text).join(" ")), at + words.length]
      end
    end
  end
end
