# frozen_string_literal: true

module Basalt
  module Model
    # The part of a project that work is done on: the rows of the model as they stood at one version.
    # One thread at a time alters it; others read it through what they pinned.
    class WorkingSet
      include Queries
      include Derived

      def initialize(project: nil, version: 0, tables: RowTypes::ALL.transform_values(&:empty))
        @project = project
        @version = version
        @tables = tables
        @tables.each { |name, table| instance_variable_set(:"@#{name}", table) }
        @latch = Mutex.new
        @derived_latch = Monitor.new
        @pins = []
        @recent = RecentDeltas.new
      end

      # What a draft came to that began with nothing. Its tables are taken over, and nothing goes into it any more.
      #
      # @param draft [Change::Draft] over an empty set
      def self.of(draft)
        new(project: draft.project, version: draft.version + 1, tables: draft.settled)
      end

      attr_reader :project, :version

      def table(name) = @tables.fetch(name)

      attr_reader(*RowTypes.tables)

      # Ordinals that new rows are above: no two acts give the same, whatever went in between.
      def ordinal_floor = version << 20

      # @return [PinnedSet] that stays as the set is now
      def pin = @latch.synchronize { PinnedSet.new(self, @latch).tap { |pinned| @pins << pinned } }

      def release(pinned) = @latch.synchronize { @pins.delete_if { |one| one.equal?(pinned) } }

      # Takes in what a draft made, and becomes the set at that version.
      # @param effect [Change::Effect]
      def advance(effect, version: @version + 1)
        @latch.synchronize do
          @pins.each { |pinned| pinned.keep(effect.deltas) }
          effect.deltas.each { |delta| delta.after ? @tables[delta.table].put(delta.after) : @tables[delta.table].delete(delta.id) }
          @recent.add(@version, version, effect.deltas)
          @project = effect.project if effect.project
          @version = version
        end
        self
      end

      # (see Derived#derived)
      def derived(key, &) = @derived_latch.synchronize { super }

      # Takes over what was worked out of what was pinned, as long as that is what stands here.
      #
      # @param version [Integer]
      def share_derived(version, key, value)
        @derived_latch.synchronize { keep_derived(key, value, version) if version == @version }
      end

      # @param version [Integer] that is asked for
      # @return [Array(Object, Array<Change::Delta>), nil] what was worked out last, and what was altered from then up to the version
      def derived_up_to(version, key)
        known = @derived_latch.synchronize { derivations[key] }
        known && [known.value, @latch.synchronize { @recent.between(known.state, version) }]
      end

      private

      def state = version
      def derived_before(key) = derived_up_to(version, key)
    end
  end
end
