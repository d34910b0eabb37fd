# frozen_string_literal: true

module Basalt
  module Model
    # Keys of an index in alphabetical order whatever their case, so that those that begin with some letters are found at once
    # among very many. Each is one text, in small letters and behind a mark as it is, since texts are compared much faster
    # than pairs of them.
    class SortedKeys
      MARK = "\0"
      private_constant :MARK

      # @param keys [Array<String>]
      def initialize(keys)
        @texts = keys.map { |key| text(key) }.sort
      end

      # @param prefix [String] in small letters
      # @return [Enumerator::Lazy<String>] those that begin so
      def beginning(prefix)
        from = place(prefix)
        (from...@texts.length).lazy.map { |index| @texts[index] }.take_while { |one| one.start_with?(prefix) }.map { |one| key(one) }
      end

      def add(key) = text(key).then { |one| @texts.insert(place(one), one) }

      def remove(key)
        at = place(text(key))
        @texts.delete_at(at) if @texts[at] == text(key)
      end

      private

      def text(key) = "#{key.downcase}#{MARK}#{key}"
      def key(text) = text[(text.index(MARK) + 1)..]
      def place(text) = @texts.bsearch_index { |other| other >= text } || @texts.length
    end
  end
end
