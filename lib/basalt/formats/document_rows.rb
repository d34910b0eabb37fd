# frozen_string_literal: true

module Basalt
  module Formats
    # The rows of the model in a project document.
    module DocumentRows
      TYPES = { sheets: Model::Sheet, elements: Model::Element, placements: Model::Placement, waivers: Model::Waiver }.freeze
      TABLES = TYPES.keys.freeze

      module_function

      # @return [Hash] of a row, without what is nil or empty
      def dump(row)
        hash = row.to_h.reject { |_, value| value.nil? || value == {} || value == [] || value == false }
        hash[:ends] = row.ends.map { |one| one.to_h.reject { |_, value| value.nil? || value == {} } } if hash[:ends]
        hash
      end

      # @param rows [Array<Hash>] as the schema has them
      # @return [Array] rows of the model
      def load(table, rows) = rows.map { |row| TYPES[table].new(**joined(row.transform_keys(&:to_sym))) }

      def joined(values)
        return values unless values[:ends]

        values.merge(ends: values[:ends].map { |one| Model::End.new(role: one["role"], target_id: one["target_id"], facts: (one["facts"] || {}).freeze) })
      end
    end
  end
end
