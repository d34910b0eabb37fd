# frozen_string_literal: true

module Basalt
  module Layout
    # Makes levels run from 0 without holes, and breaks those that are too wide.
    module Levels
      module_function

      # How wide a level may be for the sheet to come out about as wide as it is high: with this
      # much room beneath each thing for the lines.
      ROOM = 90
      SHAPE = 8

      # @return [Float] px
      def fitting(nodes, gap) = Math.sqrt(SHAPE * nodes.sum { |node| (node.w + gap) * (node.h + ROOM) })

      # @return [Array<Node>]
      def settle(nodes, widest, gap)
        level = -1
        nodes.group_by(&:level).sort.flat_map do |_, members|
          rows(members, widest, gap).flat_map do |row|
            level += 1
            row.map { |node| node.with(level:) }
          end
        end
      end

      # Rows of about the same width, none wider than allowed.
      def rows(members, widest, gap)
        total = members.sum { |node| node.w + gap }
        target = total / (total / widest.to_f).ceil
        width = 0
        members.each_with_object([[]]) do |node, rows|
          if rows.last.any? && width + (node.w / 2.0) > target
            rows << []
            width = 0
          end
          rows.last << node
          width += node.w + gap
        end
      end
    end
  end
end
