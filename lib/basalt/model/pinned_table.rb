# frozen_string_literal: true

module Basalt
  module Model
    # A table as it stood when it was pinned, whoever alters the table below in the meantime: of what is altered
    # there, the rows as they were are kept here. Every question is answered under the latch that alterations hold, too.
    class PinnedTable
      # @param base [Table]
      # @param latch [Mutex]
      def initialize(base, latch)
        @kept = Overlay.new(base)
        @latch = latch
      end

      def [](id) = @latch.synchronize { @kept[id] }
      def ceiling = @latch.synchronize { @kept.ceiling }
      def size = @latch.synchronize { @kept.size }
      def indexes = @kept.indexes
      def another = @kept.another
      def ids_by(index, key) = @latch.synchronize { @kept.ids_by(index, key) }
      def any_by?(index, key) = @latch.synchronize { @kept.any_by?(index, key) }
      def count_by(index, key) = @latch.synchronize { @kept.count_by(index, key) }
      def at_most(index, key) = @latch.synchronize { @kept.at_most(index, key) }
      def at(sheet_id, key) = @latch.synchronize { @kept.at(sheet_id, key) }
      def by(index, key) = @latch.synchronize { @kept.by(index, key) }
      def each_by(index, key, &) = by(index, key).each(&)
      def keys(index) = @latch.synchronize { @kept.keys(index) }
      def keys_beginning(index, prefix, most) = @latch.synchronize { @kept.keys_beginning(index, prefix, most) }
      def each(&) = @latch.synchronize { @kept.each.to_a }.each(&)

      # Keeps a row as it was before it is altered below, which whoever holds the latch is about to do.
      #
      # @param id [String]
      # @param row [Object, nil] nil where there was none
      def keep(id, row)
        return if @kept.touched?(id)

        row ? @kept.put(row) : @kept.delete(id)
      end
    end
  end
end
