# frozen_string_literal: true

module Basalt
  module Statements
    # Why a line fits no form, told from where it went furthest: which word is not understood, what could stand there, what it may
    # have been meant for, and a sentence that would be right. What slots refuse outright is told in their words.
    class Diagnosis
      # So many kinds are any thing at all.
      ALL = 12
      # Shorter words are not taken for others, nor those with more slips than this.
      SHORTEST = 4
      SLIP = 2

      # @param matcher [Matcher] that tried every form
      # @param context [Context]
      def initialize(matcher, context)
        @matcher = matcher
        @context = context
        @token = matcher.tokens[matcher.furthest]
      end

      # @return [Misread]
      def misread
        if @token&.unclosed?
          return Misread.new("the quote is not closed", word: @token.text[0, 40], expected: ['a closing "'], at: @token.from)
        end
        return Misread.new(@matcher.refusal, word: @token&.text, at: @matcher.letter || at) if @matcher.refusal

        close = nearest
        Misread.new(reason, word: @token&.text, expected:, nearest: close, example: example(close), at:)
      end

      private

      def text = @matcher.text
      def at = @token ? @token.from : text.length
      def reason = @token ? "“#{Model::Names.short(@token.text)}” is not understood here" : "the statement stops too early"

      # What was expected, without things of kinds that the sheet does not draw.
      def expected
        return beginning if @matcher.furthest.zero? && @matcher.tokens.any?

        things = @context.sheet&.notation&.things or return @matcher.expected
        here = @matcher.expected.reject { |label| elsewhere?(@matcher.named[label], things) }
        here.empty? ? @matcher.expected : here
      end

      def elsewhere?(kinds, things) = kinds && (kinds & things).empty? && kinds.length < ALL

      # How a line of this notation begins.
      def beginning
        nouns = @context.sheet&.notation&.chips.to_a.first(2).map(&:first)
        nouns.any? ? ["a kind of thing such as #{nouns.join(" or ")}", "the name of something that is known here"] : @matcher.expected
      end

      # Of the words and names that could stand there the one that is most like what stands there.
      def nearest
        word = (@token || @matcher.tokens.last)&.text or return
        close = Model::Names.nearest(word, near_words) if word.length >= SHORTEST && @token
        return close if close && Model::Names.distance(word.downcase, close) <= SLIP
        return if @matcher.kinds.empty?

        known = Model::NearNames.new(@context.names_like(word, @matcher.kinds))
        known.to(@token ? phrase(known) : word)
      end

      # Words that were expected; at the head of a line the kinds of things too.
      def near_words
        said = @matcher.expected.flat_map { |label| label.scan(/“([^”]+)”/).flatten }
        (@matcher.furthest.zero? ? said + Grammar.heads : said).select { |word| word.length >= SHORTEST }
      end

      # As many words, from where it went wrong, as make the closest name.
      def phrase(known)
        words = @matcher.tokens[@matcher.furthest, 4].take_while { |token| !token.mark? }.map(&:text)
        return @token.text if words.empty?

        likely =
          (1..words.length).map { |count| words.first(count).join(" ") }.filter_map { |words_so_far| near_pair(words_so_far, known) }
        likely.min_by { |words_so_far, name| Model::Names.distance(words_so_far.downcase[0, 60], name.downcase[0, 60]) }&.first ||
          words.first
      end

      def near_pair(words, known) = known.to(words)&.then { |name| [words, name] }

      # The sentence with the nearest word in it where that is right, or one of the form that went furthest.
      def example(close)
        mended = close && @token && (text[0...@token.from] + close + text[(@token.from + @token.text.length)..].to_s)
        return mended if mended && Line.right?(mended, @context)

        Example.of(@matcher.went, @context) if @matcher.went && @matcher.furthest.positive?
      end
    end
  end
end
