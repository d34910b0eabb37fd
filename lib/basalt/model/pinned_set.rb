# frozen_string_literal: true

module Basalt
  module Model
    # A working set as it stood at one version, for whoever reads it while others act: pages are drawn, checks run and
    # files are written from one of these, and nobody waits for them. It is let go of with +release+.
    class PinnedSet
      include Queries
      include Derived

      # @param set [WorkingSet]
      # @param latch [Mutex] held while the set is altered
      def initialize(set, latch)
        @set = set
        @project = set.project
        @version = set.version
        @ordinal_floor = set.ordinal_floor
        @tables = RowTypes.tables.to_h { |name| [name, PinnedTable.new(set.table(name), latch)] }
        @tables.each { |name, table| instance_variable_set(:"@#{name}", table) }
      end

      attr_reader :project, :version, :ordinal_floor

      def table(name) = @tables.fetch(name)

      attr_reader(*RowTypes.tables)

      # One version is asked for the same parts many times over.
      def parts_of(id) = (@parts ||= {})[id] ||= super.freeze

      # @param deltas [Array<Change::Delta>] that are about to be made below
      def keep(deltas) = deltas.each { |delta| @tables[delta.table].keep(delta.id, @set.table(delta.table)[delta.id]) }

      def release = @set.release(self)

      private

      def state = version
      def derived_before(key) = @set.derived_up_to(version, key)

      # Whoever pins the same version next need not work it out again.
      def keep_derived(key, value, at = state)
        super
        @set.share_derived(version, key, value)
      end
    end
  end
end
