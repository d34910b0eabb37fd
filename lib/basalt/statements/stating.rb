# frozen_string_literal: true

module Basalt
  module Statements
    # The words that state a relation, for comparing them with what somebody typed: every name as it is, whatever could be
    # read out of it.
    class Stating < Unparser
      # @return [Array<String>] the words that state it without its qualities
      def words(relation) = Stating.words(Stating.short(sentence(relation)))

      # @return [Array<String>] all its words
      def all_words(relation) = Stating.words(sentence(relation))

      # @return [Array<String>] the words of the names of its ends
      def ends(relation) = relation.endpoints.flat_map { |id| set.element(id).name.to_s.split(" ") }

      # @return [String] names always in quotes
      def say(*parts) = render_quoted(parts.flatten.compact)

      class << self
        # @return [String] a sentence up to its first mark
        def short(sentence)
          mark = Tokens.of(sentence).find { |token| token.mark? && %w[, ;].include?(token.text) }
          mark ? sentence[0...mark.from].strip : sentence
        end

        # @return [Array<String>]
        def words(sentence) = Tokens.of(sentence).flat_map { |token| token.text.split(" ") }
      end

      private

      def sentence(relation) = stating(relation).first.to_s

      def render_quoted(parts)
        render(
          parts,
          parts.each_index.select { |index| parts[index].is_a?(Mention) }.to_h { |index| [index, Quoting.quote(text(parts[index]))] }
        )
      end

      def text(mention) = mention.name || mention.element.name || mention.element.kind
    end
  end
end
