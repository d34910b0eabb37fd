# frozen_string_literal: true

module Basalt
  module Layout
    # Each thing above the middle of what hangs on it, level by level; no branch reaches over
    # another (after Wetherell and Shannon, 1979, with a block for each branch).
    class Tree
      GAP = 44
      DROP = 84

      # @param sizes [Hash{Object => Array(Numeric, Numeric)}] width and height by id, px
      # @param pairs [Array<Array(Object, Object)>] what is joined
      # @param root [Object, nil] (see Spanning)
      # @return [Hash{Object => Array(Integer, Integer)}] top left corners
      def self.call(sizes, pairs, root: nil) = new(sizes, Spanning.new(sizes.keys, pairs, root:)).corners

      def initialize(sizes, spanning)
        @sizes = sizes
        @spanning = spanning
      end

      def corners = Packing.call(@spanning.roots.map { |root| boxes(root) })

      private

      def boxes(root)
        members = @spanning.members(root)
        widths = members.reverse.each_with_object({}) { |id, found| found[id] = [@sizes[id][0], row(id, found)].max }
        tops = tops(members)
        lefts = { root => 0 }
        members.each { |id| spread(id, lefts, widths) }
        members.to_h do |id|
          w, h = @sizes[id]
          [id, Box.new(x: lefts[id] + ((widths[id] - w) / 2.0), y: tops[@spanning.depth(id)], w:, h:)]
        end
      end

      # How wide the children of a node are, one beside the other.
      def row(id, widths)
        children = @spanning.children(id)
        children.sum { |child| widths[child] } + (GAP * [children.length - 1, 0].max)
      end

      def spread(id, lefts, widths)
        x = lefts[id] + ((widths[id] - row(id, widths)) / 2.0)
        @spanning.children(id).each do |child|
          lefts[child] = x
          x += widths[child] + GAP
        end
      end

      def tops(members)
        heights = members.group_by { |id| @spanning.depth(id) }.sort.map { |_, level| level.map { |id| @sizes[id][1] }.max }
        heights.each_with_object([0]) { |height, found| found << (found.last + height + DROP) }
      end
    end
  end
end
