# frozen_string_literal: true

module Basalt
  module Model
    # Rows by id, with indexes that follow every change. An index is a function from a
    # row to the keys under which it is found.
    class Table
      def initialize(indexes)
        @indexes = indexes
        @rows = {}
        @found = indexes.transform_values { {} }
        @ceiling = 0
      end

      # +ceiling+ is the highest ordinal ever put.
      attr_reader :indexes, :ceiling

      def [](id) = @rows[id]
      def each(&) = @rows.each_value(&)
      def size = @rows.size
      def ids = @rows.keys
      def keys(index) = @found.fetch(index).keys

      # @return [Array<String>] ids of the rows under that key
      def ids_by(index, key) = @found.fetch(index)[key]&.keys || []
      def by(index, key) = ids_by(index, key).map { |id| @rows[id] }

      def put(row)
        unindex(@rows[row.id]) if @rows.key?(row.id)
        @rows[row.id] = row
        @ceiling = row.ordinal if row.ordinal && row.ordinal > @ceiling
        @indexes.each { |name, keys| keys.call(row).each { |key| (@found[name][key] ||= {})[row.id] = true } }
      end

      def delete(id)
        row = @rows.delete(id)
        unindex(row) if row
      end

      private

      def unindex(row)
        @indexes.each do |name, keys|
          keys.call(row).each do |key|
            ids = @found[name][key] or next
            ids.delete(row.id)
            @found[name].delete(key) if ids.empty?
          end
        end
      end
    end
  end
end
