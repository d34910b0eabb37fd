# frozen_string_literal: true

module Basalt
  module Model
    # Keys of an index in alphabetical order whatever their case, so that those that begin with some letters are found at once
    # among very many.
    class SortedKeys
      # @param keys [Array<String>]
      def initialize(keys)
        @pairs = keys.map { |key| [key.downcase, key] }.sort
      end

      # @param prefix [String] in small letters
      # @return [Enumerator::Lazy<String>] those that begin so
      def beginning(prefix)
        from = place([prefix, ""])
        (from...@pairs.length).lazy.map { |index| @pairs[index] }.take_while { |small, _| small.start_with?(prefix) }.map(&:last)
      end

      def add(key)
        pair = [key.downcase, key]
        @pairs.insert(place(pair), pair)
      end

      def remove(key)
        at = place([key.downcase, key])
        @pairs.delete_at(at) if @pairs[at]&.last == key
      end

      private

      def place(pair) = @pairs.bsearch_index { |other| (other <=> pair) >= 0 } || @pairs.length
    end
  end
end
