# frozen_string_literal: true

module Basalt
  module Data
    # Attributes separated by commas, each a name and the words for its qualities.
    class AttributesSlot
      WORDS = %w[key required many].freeze

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        items = []
        loop do
          item, at = item(matcher, at)
          return unless item

          items << item
          break unless matcher.token(at)&.literal?(",")

          at += 1
        end
        yield items, at
      end

      private

      def item(matcher, at)
        name, at = name(matcher, at)
        return unless name

        qualities = []
        while WORDS.any? { |word| matcher.token(at)&.literal?(word) }
          qualities << matcher.token(at).text
          at += 1
        end
        matcher.expect(at, "“key”, “required”, “many” or a comma")
        [Statements::NamedItem.new(name:, qualities: qualities.uniq), at]
      end

      def name(matcher, at)
        token = matcher.token(at)
        return matcher.expect(at, "an attribute") if token.nil? || token.mark?
        return [token.text, at + 1] if token.quoted?

        words = matcher.tokens[at..].take_while { |t| t.word? && !WORDS.include?(t.text) }
        return matcher.expect(at, "an attribute") if words.empty?

        [words.map(&:text).join(" "), at + words.length]
      end
    end
  end
end
