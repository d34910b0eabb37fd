# frozen_string_literal: true

module Basalt
  module Layout
    # A binary heap of numbers by price: the cheapest comes out first.
    class Heap
      def initialize
        @prices = []
        @items = []
      end

      # @param item [Integer]
      # @param price [Numeric]
      def push(item, price)
        at = @items.length
        while at.positive?
          parent = (at - 1) >> 1
          break if @prices[parent] <= price

          put(at, @items[parent], @prices[parent])
          at = parent
        end
        put(at, item, price)
      end

      # @return [Integer, nil]
      def pop
        top = @items.first or return
        item = @items.pop
        price = @prices.pop
        sink(item, price) unless @items.empty?
        top
      end

      private

      def put(at, item, price)
        @items[at] = item
        @prices[at] = price
      end

      def sink(item, price)
        at = 0
        while (child = (2 * at) + 1) < @items.length
          child += 1 if child + 1 < @items.length && @prices[child + 1] < @prices[child]
          break if price <= @prices[child]

          put(at, @items[child], @prices[child])
          at = child
        end
        put(at, item, price)
      end
    end
  end
end
