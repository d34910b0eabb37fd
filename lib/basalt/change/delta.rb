# frozen_string_literal: true

module Basalt
  module Change
    # One row before and after. nil is a row that is not there.
    Delta = Value.of(:table, :id, :before, :after) do
      # @return [Array<Symbol>] the columns that differ between two rows that are there
      def altered = before.members.reject { |column| before.public_send(column) == after.public_send(column) }

      def inverse = Delta.new(table:, id:, before: after, after: before)
    end
  end
end
