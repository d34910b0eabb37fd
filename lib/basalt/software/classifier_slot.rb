# frozen_string_literal: true

module Basalt
  module Software
    # What can be a kind of something: a class, an actor or a use case that is known; on sheets of these also a name that nobody
    # knows, which such a sentence makes.
    class ClassifierSlot
      KINDS = ["class", "actor", "use case"].freeze
      SHEETS = ["classes", "use cases"].freeze

      def initialize
        @thing = Statements::ThingSlot.new
        @known = Statements::Pattern::Slot.new(name: :known, slot: :thing, arguments: KINDS)
      end

      def stops?(_token) = false

      def candidates(matcher, _node, rest, at, &found)
        @thing.candidates(matcher, @known, rest, at, &found)
        return unless SHEETS.include?(matcher.context.sheet&.notation_name)

        token = matcher.token(at)
        return matcher.expect(at, "a name") if token.nil? || token.mark?
        return yield(Statements::Naming.new(token.text), at + 1) if token.quoted?

        unknown(matcher, rest, at, &found)
      end

      private

      def unknown(matcher, rest, at)
        stops = Statements::Grammar.first_words(rest)
        words = matcher.tokens[at..].take_while { |one| one.word? && !stops.include?(one.text) }
        words.empty? ? matcher.expect(at, "a name") : yield(Statements::Naming.new(words.map(&:text).join(" ")), at + words.length)
      end
    end
  end
end
