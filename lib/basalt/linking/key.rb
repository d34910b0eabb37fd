# frozen_string_literal: true

module Basalt
  module Linking
    # Names as they are compared: exactly; without regard to case, spaces, separators and leading zeros; and without words that
    # are left out at the beginning or at the end.
    module Key
      PARTS = /(?:\p{L}\p{M}*)+|\p{N}+/
      # The same where nothing but ASCII is written, which is told apart since it is many times faster.
      PLAIN = /[a-z]+|[0-9]+/

      module_function

      # @param text [String]
      # @return [Array<String>] runs of letters in small ones, and of digits without leading zeros
      def parts(text)
        found = text.ascii_only? ? text.downcase.scan(PLAIN) : text.unicode_normalize(:nfkc).downcase(:fold).scan(PARTS)
        found.map! { |part| part.start_with?("0") ? part.sub(/\A0+(?=.)/, "") : part }
      end

      # @return [String, nil] nil where nothing is left to compare
      def normal(text) = text.ascii_only? ? plain(text) : join(parts(text))

      # What joining the parts comes to, without taking the text apart.
      def plain(text)
        found = text.downcase
        if found.match?(/[0-9][^a-z0-9]+[0-9]/)
          found.tr!(".", " ")
          found.gsub!(/(?<=[0-9])[^a-z0-9]+(?=[0-9])/, ".")
          found.delete!("^a-z0-9.")
        elsif found.match?(/[^a-z0-9]/)
          found.delete!("^a-z0-9")
        end
        found.gsub!(/(?<![0-9])0+(?=[0-9])/, "") if found.match?(/(?:\A|[^0-9])0[0-9]/)
        found.freeze unless found.empty?
      end

      # @param without [Array<Array<String>>] parts of the words to leave out
      # @return [String, nil] what is left, and nil where that is nothing
      def shortened(text, without) = join(shorten(parts(text), without))

      # What is left where a word stands behind a number or a mark at the very end, and nowhere at the beginning: found without taking
      # the text apart.
      #
      # @param text [String] in ASCII
      # @param whole [String] what it comes to as a whole
      # @return [String, nil] nil where it has to be taken apart
      def without_last(text, whole, word)
        return unless whole.end_with?(word) && whole.length > word.length && !whole.start_with?(word)
        return unless text.length > word.length && text[-word.length..].casecmp?(word) && !text[-word.length - 1].match?(/[A-Za-z]/)

        whole[0...-word.length]
      end

      # @param parts [Array<String>]
      # @return [Array<String>]
      def shorten(parts, without)
        without.each do |words|
          next unless parts.length > words.length

          parts = parts.drop(words.length) if parts.first == words.first && parts.first(words.length) == words
          next unless parts.length > words.length

          parts = parts[0...-words.length] if parts.last == words.last && parts.last(words.length) == words
        end
        parts
      end

      # Numbers beside each other are not one number.
      def join(parts)
        return if parts.empty?

        return parts.first if parts.length == 1

        before = false
        parts.each_with_object(+"") do |part, text|
          number = part.ascii_only? ? part < "a" : part.match?(/\A\p{N}/)
          text << "." if before && number
          before = number
          text << part
        end.freeze
      end
    end
  end
end
