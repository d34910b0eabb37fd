# frozen_string_literal: true

module Basalt
  module Layout
    # Neighbours of a level change places as long as fewer lines cross for it (the transposition of
    # Gansner and others, "A Technique for Drawing Directed Graphs", 1993). A pair that was looked at is
    # looked at again only when it, or something it is joined to, has moved since.
    class Exchange
      ROUNDS = 12

      # @param above [Array<Array<Integer>>] neighbours of each cell on the level above; cells are numbers
      # @param below [Array<Array<Integer>>] those on the level below
      # @param beside [Array<Array<Integer>>] those on the same level
      # @param crossings [Crossings] of the same
      def initialize(above, below, beside, crossings)
        @across = [above, below]
        @beside = beside
        @crossings = crossings
        @neighbours = above.each_index.map { |cell| above[cell] + below[cell] + beside[cell] }
      end

      # @param levels [Array<Array<Integer>>]
      # @return [Array<Array<Integer>>]
      def call(levels)
        levels = levels.map(&:dup)
        @place = Array.new(@neighbours.length)
        levels.each { |level| level.each_with_index { |cell, index| @place[cell] = index } }
        @moves = 1
        @moved, @seen = Array.new(2) { Array.new(@neighbours.length, 0) }
        @seen_with = Array.new(@neighbours.length)
        ROUNDS.times do
          changed = levels.count { |level| within(level) }
          break if changed.zero?
        end
        levels
      end

      private

      def within(level)
        changed = false
        (0...(level.length - 1)).each do |index|
          one, other = level[index], level[index + 1]
          next unless disturbed?(one, other) && gain(one, other).positive?

          level[index], level[index + 1] = other, one
          @place[one] = index + 1
          @place[other] = index
          mark(one, other)
          changed = true
        end
        changed
      end

      # Whether the two stand otherwise than when they were last looked at.
      def disturbed?(one, other)
        seen = @seen[one]
        return false if @seen_with[one] == other && @moved[one] < seen && @moved[other] < seen

        @seen_with[one] = other
        @seen[one] = @moves
        true
      end

      def mark(one, other)
        [one, other].each do |cell|
          @moved[cell] = @moves
          @neighbours[cell].each { |near| @moved[near] = @moves }
        end
        @moves += 1
      end

      # How many crossings fewer there are when the second stands before the first.
      def gain(one, other)
        passed(one, other) - passed(other, one) + @across.sum { |neighbours| turned(neighbours[one], neighbours[other]) }
      end

      # So many pairs are compared one by one.
      PAIRS = 64
      private_constant :PAIRS

      # Pairs that are out of order, less those that are in order.
      def turned(first, second)
        return @place[first[0]] <=> @place[second[0]] if first.length == 1 && second.length == 1
        return 0 if first.empty? || second.empty?
        return turned_among(first, @place.values_at(*second).sort) if first.length * second.length > PAIRS

        first.sum { |a| second.sum { |b| @place[a] <=> @place[b] } }
      end

      def turned_among(first, places)
        first.sum do |cell|
          at = @place[cell]
          before = places.bsearch_index { |other| other >= at } || places.length
          upto = places.bsearch_index { |other| other > at } || places.length
          before - (places.length - upto)
        end
      end

      # Lines within the level that pass the other cell as things stand, less those that would
      # pass it the other way round.
      def passed(cell, other)
        return 0 if @beside[cell].empty?

        further = @beside[cell].sum { |id| id == other ? 0 : @place[id] <=> @place[cell] }
        further.zero? ? 0 : further * @crossings.met(other)
      end
    end
  end
end
