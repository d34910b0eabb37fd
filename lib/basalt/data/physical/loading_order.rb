# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # In which order things are made so that what each needs is there before it. Things stand as they are given where nothing asks for
      # another order. What would only be better there gives way in a circle; what has to be there does so last.
      class LoadingOrder
        # +needs+ and +likes+ are ids of others.
        Node = Value.of(:id, :needs, :likes)

        # @param nodes [Array<Node>]
        def initialize(nodes)
          @nodes = nodes.to_h { |node| [node.id, node] }
          @rank = nodes.each_with_index.to_h { |node, index| [node.id, index] }
        end

        # @return [Array<String>] ids
        def ids
          @open = @nodes.transform_values { |node| awaited(node.needs + node.likes, node) }
          @needed = @nodes.transform_values { |node| awaited(node.needs, node) }
          @waiting = Hash.new { |hash, id| hash[id] = [] }
          @open.each { |id, others| others.each { |other| @waiting[other] << id } }
          @ready = @open.filter_map { |id, others| id if others.empty? }
          order = []
          order << take while @open.any?
          order
        end

        private

        def awaited(ids, node) = ids.to_set.select { |id| id != node.id && @nodes.key?(id) }

        def take
          id = @ready.shift || stuck
          @open.delete(id)
          @waiting[id].each { |other| settle(other, id) }
          id
        end

        def settle(other, id)
          @needed[other].delete(id)
          left = @open[other] or return
          left.delete(id)
          return if left.any?

          at = @ready.bsearch_index { |one| @rank[one] > @rank[other] } || @ready.length
          @ready.insert(at, other)
        end

        # The first of a circle that lacks nothing it has to have.
        def stuck = @open.each_key.find { |id| @needed[id].empty? } || @open.each_key.first
      end
    end
  end
end
