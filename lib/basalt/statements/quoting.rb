# frozen_string_literal: true

module Basalt
  module Statements
    # When a name has to stand in quotes.
    module Quoting
      module_function

      def quote(text) = "\"#{text.gsub('"', '""')}\""

      # @return [Boolean] whether the tokens of a line could not be read back as this name anywhere
      def always?(name)
        name.match?(/[,;():"]|\A#|\s\s|[^\S ]/) || name.count(" ") >= ThingSlot::WORDS
      end

      # @return [Boolean] whether some place of some statement could read the name as something else
      def doubtful?(name)
        name.split(" ").any? { |word| Grammar.words.include?(word) || word.match?(%r{\A[\d?.]|/\d+\z}) }
      end
    end
  end
end
