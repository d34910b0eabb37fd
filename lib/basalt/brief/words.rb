# frozen_string_literal: true

module Basalt
  module Brief
    # Where the words of a phrase stand in a text.
    module Words
      module_function

      # @return [Regexp] for the words of a phrase with whatever blanks stand between them
      def pattern(phrase) = /#{phrase.split.map { |word| Regexp.escape(word) }.join('\s+')}/

      # @param place [Integer, nil] where it is thought to stand
      # @return [Integer, nil] where a phrase stands: there, or at the first place
      def find(text, phrase, place = nil)
        wanted = pattern(phrase)
        place && text.match?(/\G#{wanted}/, place) ? place : text.index(wanted)
      end
    end
  end
end
