# frozen_string_literal: true

module Basalt
  module Drawing
    # What stands for things on a sheet whose notation gathers them, and the lines between those: a line joins two symbols when what it
    # joins is in one and in the other.
    class Gathering
      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @return [Gathering]
      def self.of(set, sheet_id)
        set.derived([self, sheet_id]) do |now, was, altered|
          # A sheet that is being opened is not there before.
          next unless now.sheets[sheet_id]

          was && altered && altered.none? { |delta| concerned?(now, delta, sheet_id) } ? was : new(now, sheet_id)
        end
      end

      # Where lines run, and what things say, makes no difference.
      def self.concerned?(set, delta, sheet_id)
        case delta.table
        when :elements then true
        when :sheets then delta.id == sheet_id
        when :placements
          placed = delta.after || delta.before
          placed.sheet_id == sheet_id && (delta.before.nil? || delta.after.nil?) && !set.element(placed.element_id)&.relation?
        end
      end
      private_class_method :concerned?

      def initialize(set, sheet_id)
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

      private

      def add(set, relation)
        keys = relation.targets.map { |id| stand_in(set, id) }.uniq
        keys.each { |key| (@lines[key] ||= []) << relation.id } if keys.length > 1 && keys.none?(&:nil?)
      end
    end
  end
end
