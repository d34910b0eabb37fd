# frozen_string_literal: true

module Basalt
  module Model
    # A table seen through changes that are not kept yet. Reading and writing cost what
    # was touched, whatever the size of the table below.
    class Overlay
      def initialize(base)
        @base = base
        @own = base.another
        @touched = {}
      end

      # +own+ are the rows that were put over those below.
      attr_reader :base, :own

      def [](id) = @touched.key?(id) ? @own[id] : @base[id]
      def touched = @touched.keys
      def touched?(id) = @touched.key?(id)
      def ceiling = [@base.ceiling, @own.ceiling].max
      def indexes = @base.indexes
      def another = @base.another
      def size = @base.size + @own.size - @touched.keys.count { |id| @base[id] }

      def each(&block)
        return enum_for(:each) unless block

        @base.each { |row| yield row unless @touched.key?(row.id) }
        @own.each(&block)
      end

      def ids_by(index, key)
        return @own.ids_by(index, key) unless @base.any_by?(index, key)

        kept = @base.ids_by(index, key)
        @touched.empty? ? kept : kept.reject { |id| @touched.key?(id) } + @own.ids_by(index, key)
      end

      # (see Table#any_by?) Where there are more below than were touched, some are left.
      def any_by?(index, key)
        return true if @own.any_by?(index, key)
        return false unless @base.any_by?(index, key)
        return true if @base.count_by(index, key) > @touched.length

        @base.ids_by(index, key).any? { |id| !@touched.key?(id) }
      end

      # (see Table#count_by)
      def count_by(index, key)
        below = @base.count_by(index, key)
        below.zero? ? @own.count_by(index, key) : below - hidden(index, key, below) + @own.count_by(index, key)
      end

      # (see Table#at_most)
      def at_most(index, key) = @base.at_most(index, key) + @own.at_most(index, key)

      def by(index, key)
        return @base.by(index, key) if @touched.empty?
        return @own.by(index, key) unless @base.any_by?(index, key)

        rows = []
        each_by(index, key) { |row| rows << row }
        rows
      end

      # (see Table#each_by)
      def each_by(index, key, &)
        @base.each_by(index, key) { |row| yield row unless @touched.key?(row.id) }
        @own.each_by(index, key, &)
      end

      # (see Occurrences#at)
      def at(sheet_id, key)
        found = @own.at(sheet_id, key)
        return found if found

        below = @base.at(sheet_id, key)
        below unless below.nil? || @touched.key?(below.id)
      end

      def keys(index)
        own = @own.keys(index)
        own.empty? ? @base.keys(index) : @base.keys(index) | own
      end

      # (see Table#keys_beginning)
      def keys_beginning(index, prefix, most)
        below = @base.keys_beginning(index, prefix, most + @touched.length).select { |key| ids_by(index, key).any? }
        (below | @own.keys_beginning(index, prefix, most)).sort_by(&:downcase).first(most)
      end

      def put(row)
        @differences = nil
        @touched[row.id] = true
        @own.put(row)
      end

      def delete(id)
        @differences = nil
        @touched[id] = true
        @own.delete(id)
      end

      # @return [Array<Array(String, Object, Object)>] id, row before and row after of what differs
      def differences
        @differences ||=
          @touched.keys.filter_map do |id|
            before = @base[id]
            after = @own[id]
            [id, before, after] unless before == after
          end
      end

      private

      # How many of those below were touched, counted where fewer are.
      def hidden(index, key, below)
        return @base.ids_by(index, key).count { |id| @touched.key?(id) } if @touched.length > below

        keys = indexes.fetch(index)
        @touched.each_key.count { |id| (row = @base[id]) && Table.keys(keys.call(row)).include?(key) }
      end
    end
  end
end
