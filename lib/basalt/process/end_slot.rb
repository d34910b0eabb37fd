# frozen_string_literal: true

module Basalt
  module Process
    # What gives or gets something: known; or new, and then somebody outside.
    class EndSlot
      # @param before [String, nil] the word behind a new name; the end of the statement or a mark where it is nil
      def initialize(before: nil)
        @before = before
        @thing = Statements::ThingSlot.new
        @node = Statements::Pattern::Slot.new(name: :end, slot: :thing, arguments: Kinds::ENDS)
      end

      def stops?(_token) = false

      def candidates(matcher, _node, rest, at, &found)
        @thing.candidates(matcher, @node, rest, at, &found)
        name, after = name(matcher, at)
        yield Statements::Naming.new(name), after if name && matcher.context.find(name, Kinds::ENDS).empty?
      end

      private

      def name(matcher, at)
        token = matcher.token(at)
        return if token.nil? || token.mark?
        return [token.text, at + 1] if token.quoted?

        words = matcher.tokens[at..].take_while { |one| one.word? && !one.literal?(@before.to_s) }
        return if words.empty? || (@before && !matcher.token(at + words.length)&.literal?(@before))

        words = words.take_while { |one| one.text.match?(/\A\p{Lu}/) } if @before.nil?
        words.empty? ? nil : [words.map(&:text).join(" "), at + words.length]
      end
    end
  end
end
