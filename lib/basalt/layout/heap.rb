# frozen_string_literal: true

module Basalt
  module Layout
    # A binary heap: the cheapest comes out first, of equals the one put in first.
    class Heap
      def initialize
        @entries = []
        @count = 0
      end

      def push(item, price)
        @entries << [price, @count += 1, item]
        rise(@entries.length - 1)
      end

      # @return [Object, nil]
      def pop
        return if @entries.empty?

        top = @entries.first
        last = @entries.pop
        unless @entries.empty?
          @entries[0] = last
          sink(0)
        end
        top[2]
      end

      private

      def rise(at)
        while at.positive?
          parent = (at - 1) / 2
          break if before?(parent, at)

          swap(parent, at)
          at = parent
        end
      end

      def sink(at)
        loop do
          least = [(2 * at) + 1, (2 * at) + 2].select { |child| child < @entries.length }.min_by { |child| @entries[child].first(2) }
          break if least.nil? || before?(at, least)

          swap(at, least)
          at = least
        end
      end

      def before?(one, other) = (@entries[one][0, 2] <=> @entries[other][0, 2]).negative?
      def swap(one, other) = (@entries[one], @entries[other] = @entries[other], @entries[one])
    end
  end
end
