# frozen_string_literal: true

module Basalt
  module Model
    # Rows by id, with indexes that follow every change. An index is a function from a
    # row to the key under which it is found, an array of several, or nil.
    class Table
      # @param found [Object, Array, nil] what an index gives for a row
      # @return [Array<Object>]
      def self.keys(found) = found.is_a?(Array) ? found : [found].compact

      def initialize(indexes)
        @indexes = indexes
        @rows = {}
        @found = indexes.transform_values { {} }
        @sorted = {}
        @ceiling = 0
      end

      # +ceiling+ is the highest ordinal ever put.
      attr_reader :indexes, :ceiling

      # @return [Table] an empty one that finds rows as this does
      def another = self.class.new(indexes)

      def [](id) = @rows[id]
      def each(&) = @rows.each_value(&)
      def size = @rows.size
      def keys(index) = @found.fetch(index).keys

      # @param prefix [String] in small letters
      # @return [Array<String>] at most so many keys of the index that begin so, in alphabetical order
      def keys_beginning(index, prefix, most)
        (@sorted[index] ||= SortedKeys.new(keys(index))).beginning(prefix).first(most)
      end

      # @return [Array<String>] ids of the rows under that key
      def ids_by(index, key)
        found = @found[index][key]
        return NONE if found.nil?

        found.is_a?(String) ? [found] : found.keys
      end

      # @return [Boolean] whether there is a row under that key
      def any_by?(index, key) = @found[index].key?(key)

      # @return [Integer] how many rows there are under that key
      def count_by(index, key)
        found = @found[index][key]
        return 0 if found.nil?

        found.is_a?(String) ? 1 : found.size
      end

      # @return [Integer] no fewer than there are under that key, told at once
      def at_most(index, key) = count_by(index, key)

      def by(index, key)
        found = @found[index][key]
        return NONE if found.nil?

        found.is_a?(String) ? [@rows[found]] : @rows.values_at(*found.keys)
      end

      # As +by+, without a list of them.
      def each_by(index, key)
        found = @found[index][key]
        return if found.nil?

        found.is_a?(String) ? yield(@rows[found]) : found.each_key { |id| yield @rows[id] }
      end

      def put(row)
        known = @rows[row.id]
        @rows[row.id] = row
        @ceiling = row.ordinal if row.ordinal && row.ordinal > @ceiling
        known ? reindex(known, row) : @indexes.each { |name, keys| index_all(name, keys.call(row), row.id) }
      end

      def delete(id)
        row = @rows.delete(id) or return
        @indexes.each { |name, keys| remove_all(name, keys.call(row), id) }
      end

      NONE = [].freeze
      private_constant :NONE

      private

      # What is found as before keeps its place.
      def reindex(known, row)
        @indexes.each do |name, keys|
          before = keys.call(known)
          after = keys.call(row)
          next if before == after

          remove_all(name, before, row.id)
          index_all(name, after, row.id)
        end
      end

      # @param found [Object, Array, nil] what an index gives for a row
      def index_all(name, found, id)
        return if found.nil?

        found.is_a?(Array) ? found.each { |key| index(name, key, id) } : index(name, found, id)
      end

      def remove_all(name, found, id)
        return if found.nil?

        found.is_a?(Array) ? found.each { |key| remove(name, key, id) } : remove(name, found, id)
      end

      # Most keys have one row: its id stands by itself then, and several are the keys of a hash.
      def index(name, key, id)
        found = @found[name]
        known = found[key]
        if known.nil?
          found[key] = id
          @sorted[name]&.add(key)
        elsif known.is_a?(Hash) then known[id] = true
        else
          found[key] = { known => true, id => true } unless known == id
        end
      end

      def remove(name, key, id)
        found = @found[name]
        known = found[key]
        known.delete(id) if known.is_a?(Hash)
        return unless known == id || (known.is_a?(Hash) && known.empty?)

        found.delete(key)
        @sorted[name]&.remove(key)
      end
    end
  end
end
