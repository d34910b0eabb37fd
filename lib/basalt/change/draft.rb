# frozen_string_literal: true

module Basalt
  module Change
    # Changes tried over a working set, which stays as it is. The verbs write through
    # +put+ and +delete+; +effect+ says what came of them.
    class Draft
      include Model::Queries
      include Model::Derived

      # @param base [Model::WorkingSet, Draft]
      # @param ids [#call] makes a new id
      def initialize(base, ids: Identifiers.new)
        @base = base
        @ids = ids
        @overlays = Model::RowTypes.tables.to_h { |name| [name, Model::Overlay.new(base.table(name))] }
        @overlays.each { |name, overlay| instance_variable_set(:"@#{name}", overlay) }
        @project = nil
        @writes = 0
      end

      attr_reader :base, :ids

      attr_reader(*Model::RowTypes.tables)

      def table(name) = @overlays.fetch(name)
      def ordinal_floor = base.ordinal_floor

      # @return [Integer] of what it is tried over
      def version = base.version
      def project = @project || base.project
      def new_id = @ids.call

      def name_project(name)
        @project = Model::Names.clean(name)
      end

      # @param changes [Array<#apply>]
      # @return [Draft] itself
      # @raise [Mistake] when one cannot be made; nothing of the draft should be used then
      def apply(*changes)
        changes.flatten.each { |change| change.apply(self) }
        self
      end

      # Takes over what another draft over this one came to.
      # @param trial [Draft]
      def merge(trial) = take(trial.effect.deltas)

      # @param deltas [Array<Delta>] made from what stands here
      # @return [Draft] itself
      def take(deltas)
        @writes += deltas.length
        deltas.each { |delta| delta.after ? @overlays[delta.table].put(delta.after) : @overlays[delta.table].delete(delta.id) }
        self
      end

      # @return [Integer] of the next row that is made
      def next_ordinal(table) = [@overlays[table].ceiling, ordinal_floor].max + 1

      # @return [Object] the row as put, with its ordinal
      def put(table, row)
        @writes += 1
        row = row.with(ordinal: next_ordinal(table)) unless row.ordinal
        @overlays[table].put(row)
        row
      end

      def delete(table, id)
        @writes += 1
        @overlays[table].delete(id)
      end

      # (see Model::Derived#derived)
      def derived(key, &) = @writes.zero? ? base.derived(key, &) : super

      # @return [Array<Delta>] what is otherwise than in what it is tried over
      def deltas
        Model::RowTypes.tables.flat_map do |name|
          @overlays[name].differences.map { |id, before, after| Delta.restore([name, id, before, after]) }
        end
      end

      # @return [Hash{Symbol => Model::Table}] the tables of what was put over nothing
      def settled
        raise ArgumentError, "it is over something" if Model::RowTypes.tables.any? { |name| base.table(name).size.positive? }

        @overlays.transform_values(&:own)
      end

      # @return [Effect]
      # @raise [Conflict] when something would be left pointing at nothing
      def effect
        deltas = self.deltas
        refuse_dangling(deltas)
        Effect.new(deltas:, project: @project)
      end

      private

      def state = @writes
      def derived_before(key, &work) = [base.derived(key, &work), deltas]

      def refuse_dangling(deltas)
        deltas.each do |delta|
          next unless delta.after.nil? && delta.table == :elements

          left = relations_of(delta.id).first || parts_of(delta.id).first || contents_of(delta.id).first
          raise Conflict, "#{delta.before.name || delta.before.kind} is still used by #{left.name || left.kind}" if left
        end
      end
    end
  end
end
