# frozen_string_literal: true

module Basalt
  module Model
    # Rows as earlier versions of Basalt kept them, in journals and documents, made into rows of today. A version
    # is a shape of the rows: whoever alters a member of a row adds a step here, and what was kept stays readable.
    module RowVersions
      STEPS = {
        2 => {
          sheets: ->(row) { renamed(row, { "notation" => "notation_name" }, within: { "view" => { "manner" => "layout_style" } }) },
          placements: ->(row) { renamed(row, within: { "shape" => { "quiet" => "labels_hidden" } }) }
        },
        # Links came, which had no rows before; sheets of pictures, and what stands on floors.
        3 => {}
      }.freeze
      CURRENT = STEPS.keys.max

      module_function

      # @param table [Symbol]
      # @param row [Hash{String => Object}, nil] as it was kept
      # @param version [Integer] of the shape that it was kept in
      # @return [Hash{String => Object}, nil]
      def upgrade(table, row, version)
        return row unless row.is_a?(Hash)

        STEPS.select { |step, _| step > version }.values.reduce(row) { |shape, step| step.key?(table) ? step[table].call(shape) : shape }
      end

      def renamed(row, names = {}, within: {})
        within.each { |member, inner| row = row.merge(member => renamed(row[member], inner)) if row[member].is_a?(Hash) }
        names.each { |old, new| row = row.except(old).merge(new => row[old]) if row.key?(old) }
        row
      end
    end
  end
end
