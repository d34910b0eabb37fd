# frozen_string_literal: true

module Basalt
  module Layout
    # Values in order, with a table by which the place of any number among them is found at once.
    class Axis
      # Width of an entry of the table, px.
      STEP = 16

      # @param values [Array<Numeric>] in any order, at least one
      def initialize(values)
        @values = values.uniq.sort.freeze
        @origin = @values.first
        @table = table
      end

      attr_reader :values

      def length = @values.length

      # @return [Integer] index of the first value above the bound; +length+ where there is none
      def above(bound)
        index = start(bound)
        index += 1 while index < @values.length && @values[index] <= bound
        index
      end

      # @return [Integer] index of the first value at the bound or above it
      def from(bound)
        index = start(bound)
        index += 1 while index < @values.length && @values[index] < bound
        index
      end

      private

      # For each step, the first value in it or behind it.
      def table
        found = []
        @values.each_with_index do |value, index|
          entry = ((value - @origin) / STEP).floor
          found << index while found.length <= entry
        end
        found
      end

      def start(bound)
        entry = ((bound - @origin) / STEP).floor
        return 0 if entry.negative?

        @table[entry] || (@values.length - 1)
      end
    end
  end
end
