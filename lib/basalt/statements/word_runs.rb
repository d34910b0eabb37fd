# frozen_string_literal: true

module Basalt
  module Statements
    # The words of a sentence that is about to be said, with its names bare: whether some of them, side by side, make a
    # name that is not meant there, and the shape that it shares with sentences about other things of such names.
    class WordRuns
      # @param set [Model::WorkingSet, Change::Draft]
      # @param parts [Array<String, Symbol, Mention>]
      # @param single [#call] tells of a mention and its text whether nothing else could be meant
      def initialize(set, parts, single)
        @set = set
        @single = single
        @parts = parts
      end

      # @return [Boolean] whether every name is that of one thing, can stand bare, and no other can be read
      def plain?
        @parts.grep(Unparser::Mention).all? { |mention| single?(mention) } && !other_names?
      end

      # @return [Boolean] whether some words side by side are a known name that is not mentioned there
      def other_names?
        words, meant = spread
        words.each_with_index.any? do |word, from|
          word && (1..longest(words, from)).any? { |count| known?(words, from, count) && !meant.include?([from, count]) }
        end
      end

      # Names of words that no statement knows differ in nothing that matters for how they are read, nor do figures and quoted texts; other
      # words count by themselves.
      #
      # @return [Array<String>]
      def shape = @parts.map { |part| part.is_a?(Unparser::Mention) ? named(part) : said(part.to_s) }

      private

      def text(mention) = mention.name || mention.element.name
      def single?(mention) = !Quoting.always?(text(mention)) && @single.call(mention, text(mention))

      def plain(word)
        return "0" * word.length if word.match?(/\A\d+\z/)

        word.match?(/\A[[:alpha:]][[:alnum:]-]*\z/) && !Grammar.words.include?(word) ? "a" : word
      end

      def named(mention) = [mention.element&.kind, *text(mention).split(" ").map { |word| plain(word) }].join(" ")
      def said(part) = part.start_with?('"') ? '"' : part.gsub(/\d/, "0")

      # @return [Array(Array<String, nil>, Set<Array(Integer, Integer)>)] all words, and where names that are meant begin and how many words
      #   they have; marks part the words of a name from others
      def spread
        @spread ||= @parts.each_with_object([[], Set.new]) do |part, (all, names)|
          said = part.is_a?(Symbol) ? [nil] : (part.is_a?(Unparser::Mention) ? text(part) : part).split(" ")
          names << [all.length, said.length] if part.is_a?(Unparser::Mention)
          all.concat(said)
        end
      end

      # @return [Integer] so many words from there on could be a name
      def longest(words, from) = @set.opens_name?(words[from]) ? [words.length - from, ThingSlot::WORDS].min : 1

      def known?(words, from, count)
        return @set.elements.any_by?(:name, words[from]) if count == 1

        run = words[from, count]
        !run.include?(nil) && @set.elements.any_by?(:name, run.join(" "))
      end
    end
  end
end
