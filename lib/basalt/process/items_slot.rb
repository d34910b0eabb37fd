# frozen_string_literal: true

module Basalt
  module Process
    # Names separated by commas and a last "and".
    class ItemsSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        names = []
        loop do
          name, at = name(matcher, at)
          return unless name

          names << Statements::Naming.new(name)
          break unless [",", "and"].any? { |word| matcher.token(at)&.literal?(word) }

          at += 1
        end
        yield names, at
      end

      private

      def name(matcher, at)
        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return [token.text, at + 1] if token.quoted?

        words = matcher.tokens[at..].take_while { |one| one.word? && !one.literal?("and") }
        words.empty? ? matcher.expect(at, "a name") : [words.map(&:text).join(" "), at + words.length]
      end
    end
  end
end
