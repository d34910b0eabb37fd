# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Who speaks or hears: a participant of the interaction that the sheet shows, by name; on such sheets also a name that nobody has
      # yet, which the sentence makes.
      class ParticipantSlot
        KINDS = ["participant"].freeze
        # Words that stand for somebody and are no names.
        ITSELF = "itself"
        NOBODY = "nobody"
        WORDS = [ITSELF, NOBODY].freeze

        # @param words [Array<String>] of WORDS, those that can stand there
        def initialize(words: [])
          @words = words
        end

        def stops?(_token) = false

        def candidates(matcher, _node, rest, at, &found)
          matcher.expect(at, "a participant", KINDS)
          token = matcher.token(at) or return
          return if token.mark? || token.unclosed?
          return yield(token.text.to_sym, at + 1) if @words.include?(token.text) && !token.quoted?

          known(matcher, at, &found)
          fresh(matcher, rest, at, &found)
        end

        # Somebody whom the sentence has take part, with what it is one of.
        Newcomer = Value.of(:name, :type) do
          def to_str = name
          def mentions = [name, type]
        end

        private

        def known(matcher, at)
          from = matcher.token(at).literal?("participant") ? at + 1 : at
          names(matcher, from).each do |name, after|
            one = participant(matcher, name) or next
            yield one, after
            of_interaction(matcher, after) { |behind| yield one, behind }
          end
        end

        # With the interaction behind the name, as other things are told with the place that they are in.
        def of_interaction(matcher, at)
          return unless matcher.token(at)&.literal?("of")

          wanted = interaction(matcher).name
          names(matcher, at + 1).each { |name, after| yield after if name == wanted }
        end

        def participant(matcher, name)
          interaction = interaction(matcher)
          interaction && TakingPart.known(matcher.context.draft, interaction.id, name)
        end

        def interaction(matcher) = matcher.context.sheet_id && Scope.shown(matcher.context.draft, matcher.context.sheet_id)

        # Longest first.
        def names(matcher, at)
          token = matcher.token(at)
          return [] unless token
          return [[token.text, at + 1]] if token.quoted?

          words = matcher.tokens[at, Statements::ThingSlot::WORDS].take_while(&:word?).map(&:text)
          words.length.downto(1).map { |count| [words.first(count).join(" "), at + count] }
        end

        # A name, or a name and what it is one of: +job of WorkOrder+.
        def newcomer(words, name)
          at = words.rindex { |word| word.literal?("of") }
          return Statements::Naming.new(name) unless at&.between?(1, words.length - 2)

          Newcomer.new(name: words.first(at).map(&:text).join(" "), type: words.drop(at + 1).map(&:text).join(" "))
        end

        def fresh(matcher, rest, at)
          return unless Scope::SHEETS.include?(matcher.context.sheet&.notation_name)

          token = matcher.token(at)
          return yield(Statements::Naming.new(token.text), at + 1) if token.quoted? && participant(matcher, token.text).nil?

          stops = Statements::Grammar.first_words(rest)
          words = matcher.tokens[at..].take_while { |one| one.word? && !stops.include?(one.text) }
          name = words.map(&:text).join(" ")
          return if words.empty? || name.include?(":") || WORDS.include?(name) || participant(matcher, name)

          yield newcomer(words, name), at + words.length
        end
      end
    end
  end
end
