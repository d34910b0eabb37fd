# frozen_string_literal: true

module Basalt
  module Change
    # One row before and after. nil is a row that is not there.
    Delta = Value.of(:table, :id, :before, :after) do
      # @return [Array<Symbol>] the columns that differ between two rows that are there
      def altered = type.altered(before, after)

      # @return [Model::RowType]
      def type = Model::RowTypes.of(table)

      def inverse = Delta.new(table:, id:, before: after, after: before)
    end
  end
end
