# frozen_string_literal: true

module Basalt
  module Layout
    # Rows and columns, in the order given, about as wide as high.
    module Rows
      GAP = 44
      DROP = 60
      SHAPE = 1.6

      module_function

      # (see Tree.call)
      def call(sizes, _pairs, **)
        ids = sizes.keys
        return {} if ids.empty?

        columns = columns(sizes)
        widths = (0...columns).map { |column| (column...ids.length).step(columns).map { |index| sizes[ids[index]][0] }.max || 0 }
        lefts = widths.each_with_object([0]) { |width, found| found << (found.last + width + GAP) }
        y = 0
        ids.each_slice(columns).each_with_object({}) do |row, corners|
          row.each_with_index { |id, column| corners[id] = [(lefts[column] + ((widths[column] - sizes[id][0]) / 2.0)).round, y] }
          y += row.map { |id| sizes[id][1] }.max.ceil + DROP
        end
      end

      def columns(sizes)
        width, height = sizes.values.transpose.map { |all| all.sum / all.length.to_f }
        [Math.sqrt(SHAPE * sizes.length * (height + DROP) / (width + GAP)).round, 1].max
      end
    end
  end
end
