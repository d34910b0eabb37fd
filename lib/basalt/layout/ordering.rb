# frozen_string_literal: true

module Basalt
  module Layout
    # Orders the cells of each level so that few lines cross: barycentre sweeps, keeping the
    # best order seen (Sugiyama, Tagawa and Toda, 1981); then neighbours change places while that
    # helps (Gansner and others, 1993).
    class Ordering
      SWEEPS = 12
      EXCHANGES = 12

      # @param levels [Array<Array>] cells of each level in a first order
      # @param above [Hash{Object => Array}] neighbours on the level above
      # @param below [Hash{Object => Array}] neighbours on the level below
      # @param beside [Hash{Object => Array}] neighbours on the same level
      def initialize(levels, above, below, beside)
        @levels = levels.map(&:dup)
        @above = above
        @below = below
        @beside = beside
      end

      # @return [Array<Array>]
      def best
        best = @levels
        fewest = crossings(best)
        SWEEPS.times do |sweep|
          break if fewest.zero? && sweep > 1

          @levels = sweep.even? ? sweep(@levels, @above) : sweep(@levels.reverse, @below).reverse
          count = crossings(@levels)
          best, fewest = @levels, count if count < fewest || sweep.zero?
        end
        exchange(best)
      end

      private

      def sweep(levels, neighbours)
        placed = {}
        levels.map do |level|
          here = level.each_with_index.to_h
          sorted = level.sort_by.with_index { |cell, index| [barycentre(cell, neighbours, placed, here) || index, index] }
          sorted.each_with_index { |cell, index| placed[cell] = index * 100.0 / [sorted.length, 1].max }
          sorted
        end
      end

      def barycentre(cell, neighbours, placed, here)
        positions = neighbours.fetch(cell, []).filter_map { |other| placed[other] }
        positions += @beside.fetch(cell, []).filter_map { |other| here[other] && (here[other] * 100.0 / here.length) } if positions.any?
        positions.empty? ? here[cell] * 100.0 / here.length : positions.sum / positions.length
      end

      # Neighbours of a level change places as long as fewer lines cross for it.
      def exchange(levels)
        levels = levels.map(&:dup)
        place = levels.each_with_object({}) { |level, found| level.each_with_index { |cell, index| found[cell] = index } }
        EXCHANGES.times do
          changed = levels.count { |level| exchange_within(level, place) }
          break if changed.zero?
        end
        levels
      end

      def exchange_within(level, place)
        changed = false
        (0...(level.length - 1)).each do |index|
          one, other = level[index], level[index + 1]
          next unless gain(one, other, place).positive?

          level[index], level[index + 1] = other, one
          place[one] = index + 1
          place[other] = index
          changed = true
        end
        changed
      end

      # How many crossings fewer there are when the second stands before the first.
      def gain(one, other, place)
        [@above, @below].sum do |neighbours|
          first, second = [one, other].map { |cell| neighbours.fetch(cell, []).map { |id| place[id] } }
          next 0 if first.empty? || second.empty?

          first.sum { |a| second.sum { |b| a <=> b } }
        end
      end

      def crossings(levels)
        levels.each_cons(2).sum do |upper, lower|
          place = lower.each_with_index.to_h
          inversions(upper.flat_map { |cell| @below.fetch(cell, []).filter_map { |other| place[other] }.sort })
        end
      end

      # Pairs out of order, by merging.
      def inversions(list)
        return 0 if list.length < 2

        tree = Array.new((list.max || 0) + 2, 0)
        list.each_with_index.sum do |value, index|
          not_after = prefix(tree, value + 1)
          add(tree, value + 1)
          index - not_after
        end
      end

      def prefix(tree, at)
        sum = 0
        while at.positive?
          sum += tree[at]
          at -= at & -at
        end
        sum
      end

      def add(tree, at)
        while at < tree.length
          tree[at] += 1
          at += at & -at
        end
      end
    end
  end
end
