# frozen_string_literal: true

module Basalt
  module Formats
    # The rows of the model in a project document.
    module DocumentRows
      module_function

      # @param table [Symbol]
      # @return [Hash] of a row, without what is nil or empty
      def dump(table, row)
        type = Model::RowTypes.of(table)
        hash = type.dump(row).reject { |_, value| empty?(value) }
        type.nested.each_key { |member| hash[member] = hash[member].map { |one| one.reject { |_, value| empty?(value) } } if hash[member] }
        hash
      end

      def empty?(value) = value.nil? || value == {} || value == [] || value == false

      # @param rows [Array<Hash>] as the schema has them
      # @return [Array] rows of the model
      def load(table, rows) = rows.map { |row| Model::RowTypes.of(table).load(row) }
    end
  end
end
