# frozen_string_literal: true

module Basalt
  module Statements
    # The words for a notation.
    class NotationSlot
      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        names = Model::Catalogue.notations.keys
        words = matcher.tokens[at..].to_a.take_while(&:word?).map(&:text)
        known = words.length.downto(1).find { |count| names.include?(words.first(count).join(" ")) }
        return names.each { |name| matcher.expect(at, "“#{name}”") } unless known

        yield words.first(known).join(" "), at + known
      end
    end
  end
end
