# frozen_string_literal: true

module Basalt
  module Statements
    # What a slot of a pattern can be filled with. A slot yields each value it could read at
    # a token, with the token behind it, best first.
    module Slots
      # Words that slots themselves read.
      WORDS = %w[of].freeze

      class << self
        def fetch(name)
          all.fetch(name)
        end

        # @return [Array<String>] the kinds that a slot's arguments allow: names of kinds, or all
        def kinds(arguments)
          arguments.empty? ? all_kinds : arguments
        end

        private

        def all_kinds = @all_kinds ||= Model::Catalogue.kinds.values.reject { |kind| kind.nouns.empty? }.map(&:name).freeze

        def all
          @all ||= own.merge(*Families.gather(:slots))
        end

        def own
          {
            thing: ThingSlot.new,
            anything: AnythingSlot.new,
            things: ThingsSlot.new,
            new: NewNameSlot.new,
            text: TextSlot.new,
            name: NameSlot.new,
            notation: NotationSlot.new,
            phrase: PhraseSlot.new,
            words: WordsSlot.new,
            word: WordSlot.new(/\A\S+\z/, "a word"),
            lines: LinesSlot.new,
            integer: WordSlot.new(/\A\d{1,9}\z/, "a whole number", quoted: false) { |text| Integer(text, 10) }
          }
        end
      end
    end
  end
end
