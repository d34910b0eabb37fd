# frozen_string_literal: true

module Basalt
  module Graphs
    # Which nodes stand on every way from a root to a node.
    # Cooper, Harvey and Kennedy, "A Simple, Fast Dominance Algorithm" (2001).
    module Dominators
      module_function

      # @param root [Object]
      # @param following [Hash{Object => Array}] where one can go from each node
      # @return [Hash] each node that can be reached, except the root, to its immediate dominator
      def of(root, following)
        order = postorder(root, following)
        rank = order.each_with_index.to_h
        before = preceding(order, following)
        immediate = { root => root }
        loop do
          settled = order.reverse.drop(1).count { |node| improve(node, before[node], immediate, rank) }.zero?
          break if settled
        end
        immediate.reject { |node, _| node == root }
      end

      # @return [Array] the dominators of a node, nearest first, without the root
      def chain(immediate, node)
        steps = []
        steps << node while (node = immediate[node])
        steps[0..-2] || []
      end

      def improve(node, before, immediate, rank)
        known = before.select { |other| immediate.key?(other) }
        dominator = known.reduce { |one, other| meet(one, other, immediate, rank) }
        return false if immediate[node] == dominator

        immediate[node] = dominator
        true
      end

      def meet(one, other, immediate, rank)
        until one == other
          one = immediate[one] while rank[one] < rank[other]
          other = immediate[other] while rank[other] < rank[one]
        end
        one
      end

      def preceding(order, following)
        order.each_with_object(Hash.new { |hash, node| hash[node] = [] }) do |node, before|
          following.fetch(node, []).each { |after| before[after] << node }
        end
      end

      # Without recursion, so that a long chain of things does not exhaust the stack.
      def postorder(root, following)
        order = []
        seen = { root => true }
        path = [[root, following.fetch(root, []).each]]
        until path.empty?
          node, rest = path.last
          after = following_unseen(rest, seen)
          if after then path << [after, following.fetch(after, []).each]
          else
            order << node
            path.pop
          end
        end
        order
      end

      def following_unseen(rest, seen)
        loop do
          node = rest.next
          next if seen[node]

          seen[node] = true
          return node
        end
        nil
      end
    end
  end
end
