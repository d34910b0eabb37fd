# frozen_string_literal: true

module Basalt
  module Model
    # The words that declare something. Trades share some: on a sheet such a word means the kind that is drawn there, elsewhere the
    # kind that does not yield; one that is not meant there is called by its trade and the word.
    class Nouns
      # @param kinds [Array<Kind>]
      # @param notations [#call] gives a hash of notations by name, once the first sheet is asked about
      def initialize(kinds, notations)
        @notations = notations
        @by_noun = kinds.flat_map { |kind| kind.nouns.map { |noun, facts| [noun, [kind, facts]] } }.group_by(&:first)
          .transform_values { |pairs| pairs.map(&:last) }
        @on = {}
      end

      # @return [Hash{String => Array(Kind, Hash)}] word to its kind and the facts it sets, where no sheet says more
      def all = @all ||= plain.merge(whole).freeze

      # @return [Array<Array(String, Kind, Hash)>] each word with each kind that it may mean, and the facts it sets then
      def meanings
        (@by_noun.flat_map { |noun, found| found.map { |meaning| [noun, *meaning] } } + whole.map { |noun, meaning| [noun, *meaning] })
      end

      # @param notation_name [String, nil] of the sheet on which the word is said
      # @return [Array(Kind, Hash), nil]
      def meant(noun, notation_name) = on(notation_name)[noun] || all[noun]

      # @return [Boolean] whether the word makes one of this kind on a sheet of that notation; a yielding kind is made on its own
      #   sheets alone
      def declares?(noun, kind, notation_name)
        meant(noun, notation_name)[0].equal?(kind) && (!kind.yielding || notation_name.nil? || drawn?(kind, notation_name))
      end

      # @return [Array<String>] all that declare something on a sheet of that notation
      def declaring(notation_name)
        (@declaring ||= {})[notation_name] ||=
          all.keys.select { |noun| declares?(noun, meant(noun, notation_name)[0], notation_name) }.freeze
      end

      # @return [String] the word that means this element on a sheet of that notation
      def word(element, notation_name)
        noun = element.noun
        return noun unless shared.key?(noun) && !meant(noun, notation_name)[0].equal?(element.description)

        whole_word(element.description, noun)
      end

      private

      def shared = @shared ||= @by_noun.select { |_, meanings| meanings.length > 1 }.freeze
      def plain = @by_noun.transform_values { |meanings| meanings.find { |kind, _| !kind.yielding } || meanings.last }

      def whole =
        shared.flat_map do |noun, meanings|
          meanings.select { |kind, _| kind.trade }.map { |kind, facts| [whole_word(kind, noun), [kind, facts]] }
        end.to_h

      def whole_word(kind, noun) = "#{kind.trade} #{noun}"

      def drawn?(kind, notation_name) = @notations.call[notation_name]&.things&.include?(kind.name)

      def on(notation_name)
        return {} unless notation_name

        @on[notation_name] ||=
          shared.filter_map do |noun, meanings|
            meaning = meanings.find { |kind, _| drawn?(kind, notation_name) }
            [noun, meaning] if meaning
          end.to_h
      end
    end
  end
end
