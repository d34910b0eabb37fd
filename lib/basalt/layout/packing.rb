# frozen_string_literal: true

module Basalt
  module Layout
    # Puts parts of a sheet that do not hang together side by side, in rows.
    module Packing
      GAP = 70

      module_function

      # @param parts [Array<Hash{Object => Box}>]
      # @return [Hash{Object => Array(Integer, Integer)}] top left corners, the first at 0, 0
      def call(parts)
        around = parts.map { |part| Box.around(part.values) }
        widest = [around.map(&:w).max || 0, Math.sqrt(1.6 * around.sum { |box| (box.w + GAP) * (box.h + GAP) })].max
        x = y = row = 0
        parts.zip(around).each_with_object({}) do |(part, box), corners|
          x, y, row = 0, y + row + GAP, 0 if x.positive? && x + box.w > widest
          part.each { |id, inner| corners[id] = [(inner.x - box.x + x).round, (inner.y - box.y + y).round] }
          x += box.w + GAP
          row = [row, box.h].max
        end
      end
    end
  end
end
