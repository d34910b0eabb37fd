# frozen_string_literal: true

module Basalt
  module Linking
    # Names as they are compared: exactly; without regard to case, spaces, separators and leading zeros; and without words that
    # are left out at the beginning or at the end.
    module Key
      RUNS = /\p{L}\p{M}*+|\p{N}+|./m
      PARTS = /(?:\p{L}\p{M}*)+|\p{N}+/

      module_function

      # @param text [String]
      # @return [Array<String>] runs of letters in small ones, and of digits without leading zeros
      def parts(text)
        text.unicode_normalize(:nfkc).downcase(:fold).scan(PARTS).map { |part| part.match?(/\A\p{N}/) ? part.sub(/\A0+(?=.)/, "") : part }
      end

      # @return [String, nil] nil where nothing is left to compare
      def normal(text) = join(parts(text))

      # @param without [Array<Array<String>>] parts of the words to leave out
      # @return [String, nil] what is left, and nil where that is nothing
      def shortened(text, without)
        parts = parts(text)
        without.each do |words|
          parts = parts.drop(words.length) if parts.length > words.length && parts.first(words.length) == words
          parts = parts.take(parts.length - words.length) if parts.length > words.length && parts.last(words.length) == words
        end
        join(parts)
      end

      # Numbers beside each other are not one number.
      def join(parts)
        return if parts.empty?

        parts.each_cons(2).with_object(+parts.first) do |(one, other), text|
          text << "." if one.match?(/\A\p{N}/) && other.match?(/\A\p{N}/)
          text << other
        end
      end
    end
  end
end
