# frozen_string_literal: true

module Basalt
  module Layout
    # The trees that breadth-first steps make of a graph: one for each part that hangs together.
    class Spanning
      # @param ids [Array] of the nodes, in their order
      # @param pairs [Array<Array(Object, Object)>] what is joined
      # @param root [Object, nil] where the first tree begins; the most joined where it is nil
      def initialize(ids, pairs, root: nil)
        @near = ids.to_h { |id| [id, []] }
        pairs.reject { |one, other| one == other }.each do |one, other|
          @near.fetch(one) << other
          @near.fetch(other) << one
        end
        @near.each_value(&:uniq!)
        @children = ids.to_h { |id| [id, []] }
        @depth = {}
        order = ids.each_with_index.sort_by { |id, index| [-@near[id].length, index] }.map(&:first)
        @roots = [*([root] if @near.key?(root)), *order].filter { |id| !@depth.key?(id) && spread(id) }
      end

      # +roots+ of the trees; +near+ gives all neighbours of a node.
      attr_reader :roots, :near

      def children(id) = @children.fetch(id)
      def depth(id) = @depth.fetch(id)

      # @return [Array] the node and all beneath it, each before its children
      def members(id)
        found = [id]
        found.each { |one| found.concat(@children[one]) }
      end

      # @return [Hash{Object => Integer}] how many ends the tree has at and beneath each node
      def leaves(root)
        members(root).reverse.each_with_object({}) { |id, found| found[id] = [@children[id].sum { |child| found[child] }, 1].max }
      end

      private

      def spread(root)
        @depth[root] = 0
        queue = [root]
        queue.each do |id|
          @near[id].each do |other|
            next if @depth.key?(other)

            @depth[other] = @depth[id] + 1
            @children[id] << other
            queue << other
          end
        end
      end
    end
  end
end
