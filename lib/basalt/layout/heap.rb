# frozen_string_literal: true

module Basalt
  module Layout
    # A binary heap of numbers by price: the cheapest comes out first.
    class Heap
      def initialize
        @prices = []
        @items = []
      end

      # Whoever looks for a way pushes and pops millions of times: places are written here without a method for that.
      #
      # @param item [Integer]
      # @param price [Numeric]
      def push(item, price)
        items = @items
        prices = @prices
        at = items.length
        while at.positive?
          parent = (at - 1) >> 1
          above = prices[parent]
          break if above <= price

          items[at] = items[parent]
          prices[at] = above
          at = parent
        end
        items[at] = item
        prices[at] = price
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

      def sink(item, price)
        items = @items
        prices = @prices
        length = items.length
        at = 0
        while (child = (2 * at) + 1) < length
          least = prices[child]
          if child + 1 < length && prices[child + 1] < least
            child += 1
            least = prices[child]
          end
          break if price <= least

          items[at] = items[child]
          prices[at] = least
          at = child
        end
        items[at] = item
        prices[at] = price
      end
    end
  end
end
