# frozen_string_literal: true

module Basalt
  module Drawing
    # What stands for things on a sheet whose notation gathers them, and the lines between those: a line joins two symbols when what it
    # joins is in one and in the other.
    class Gathering
      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @return [Gathering, nil] nil where there is no such sheet
      def self.of(set, sheet_id)
        set.derived([self, sheet_id]) do |now, was, altered|
          # A sheet that is being opened is not there before.
          next unless now.sheets[sheet_id]

          was && altered && was.holds?(now, altered) ? was.after(now, altered) : new(now, sheet_id)
        end
      end

      def initialize(set, sheet_id)
        @sheet_id = sheet_id
        @notation = set.sheets[sheet_id].notation
        @shown = set.placements_on(sheet_id).to_set(&:element_id)
        @stand_ins = {}
        @lines = {}
        set.of_kind(*@notation.lines).each { |relation| add(set, relation) }
      end

      # @return [Array<String>] ids of the lines that end at a symbol, in order of making
      def lines_of(key) = @lines.fetch(key, [])

      # @return [Array<String>] ids of all lines between symbols, in order of making
      def lines = @lines.values.flatten.uniq

      # @return [String, nil] what stands for an element; nil where nothing on the sheet does
      def stand_in(set, id)
        @stand_ins.fetch(id) do
          at = id
          at = set.element(at).then { |element| element && @notation.holder(set, element) } until at.nil? || @shown.include?(at)
          @stand_ins[id] = at
        end
      end

      # @param altered [Array<Change::Delta>]
      # @return [Boolean] whether all stands for what it stood for, and only lines came, went or joined others
      def holds?(set, altered)
        altered.none? do |delta|
          case delta.table
          when :elements then moved?(delta)
          when :sheets then delta.id == @sheet_id
          when :placements then shown_otherwise?(set, delta)
          end
        end
      end

      # @return [Gathering] with the lines as they are now
      def after(set, altered)
        elements = altered.select { |delta| delta.table == :elements }
        lines = elements.select { |delta| line?(delta) && joined_otherwise?(delta) }
        # What stands for something new may have been asked before it was where it is now.
        known = elements.map(&:id).select { |id| @stand_ins.key?(id) }
        lines.empty? && known.empty? ? self : dup.tap { |copy| copy.take(set, lines, known) }
      end

      protected

      def take(set, deltas, forgotten)
        @lines = @lines.transform_values(&:dup)
        @stand_ins = @stand_ins.except(*forgotten)
        deltas.each do |delta|
          @lines.each_value { |ids| ids.delete(delta.id) } if delta.before
          add(set, delta.after) if delta.after
        end
      end

      private

      def line?(delta) = @notation.lines.include?((delta.after || delta.before).kind)
      def joined_otherwise?(delta) = delta.before&.targets != delta.after&.targets

      # What is in what, or of what, may be told by relations too.
      def moved?(delta)
        return false if line?(delta)

        before, after = delta.before, delta.after
        return (after || before).relation? if before.nil? || after.nil?

        before.container_id != after.container_id || before.owner_id != after.owner_id || before.targets != after.targets
      end

      def shown_otherwise?(set, delta)
        placed = delta.after || delta.before
        placed.sheet_id == @sheet_id && (delta.before.nil? || delta.after.nil?) && !set.element(placed.element_id)&.relation?
      end

      def add(set, relation)
        keys = relation.targets.map { |id| stand_in(set, id) }.uniq
        keys.each { |key| (@lines[key] ||= []) << relation.id } if keys.length > 1 && keys.none?(&:nil?)
      end
    end
  end
end
