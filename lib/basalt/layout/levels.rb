# frozen_string_literal: true

module Basalt
  module Layout
    # Makes levels run from 0 without holes, and breaks those that are too wide.
    module Levels
      module_function

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

      def rows(members, widest, gap)
        members.each_with_object([[]]) do |node, rows|
          rows << [] if rows.last.any? && rows.last.sum { |other| other.w + gap } + node.w > widest
          rows.last << node
        end
      end
    end
  end
end
