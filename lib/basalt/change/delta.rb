# frozen_string_literal: true

module Basalt
  module Change
    # One row before and after. nil is a row that is not there.
    Delta = Value.of(:table, :id, :before, :after) do
      def inverse = Delta.new(table:, id:, before: after, after: before)
    end
  end
end
