# frozen_string_literal: true

module Basalt
  module Drawing
    # Where the ends of lines are on a sheet: at an occurrence, at the owner of a part, or at the collapsed boundary
    # that either is in; and the terminal that a line has there.
    class Anchors
      # @param set [AsDrawn, Model::WorkingSet, Change::Draft] (see AsDrawn.of)
      def initialize(set, sheet_id)
        @set = set
        @sheet_id = sheet_id
        @nesting = Nesting.new(set, sheet_id)
      end

      # @return [Array(String, String)] keys of what its first and its last end are at
      def of(line) = @nesting.collapsed? ? line.endpoints.map { |key| @nesting.stand_in(key) } : line.endpoints

      # @return [Boolean] whether it runs within what is drawn as one thing, and so is not drawn
      def within_one?(line) = @nesting.collapsed? && line.endpoints.uniq.length > 1 && of(line).uniq.one?

      # @return [Array<Layout::Terminal>] for the first and the last end
      def terminals(line) = of(line).each_with_index.map { |key, index| terminal(line, key, index) }

      # @return [Boolean] whether both ends are at things as wholes
      def whole?(line) = !notation.ends_at_parts? || parts(line).none?

      private

      def terminal(line, key, index)
        thing = @set.element(key)
        placement = @set.placement(@sheet_id, key)
        part = key == line.endpoints[index] && parts(line)[index]
        part ? notation.part_terminal(@set, thing, placement, part, line) : notation.terminal(@set, thing, placement, line)
      end

      # @return [Array(Model::Element, nil)] the parts that its ends are at
      def parts(line)
        return [nil, nil] unless notation.ends_at_parts?

        @set.elements[line.id].endpoints.map { |id| @set.shown?(@sheet_id, id) ? nil : @set.elements[id] }
      end

      def notation = @set.sheets[@sheet_id].notation
    end
  end
end
