# frozen_string_literal: true

module Basalt
  module Layout
    # Orders the cells of each level so that few lines cross: all levels along one smooth scale,
    # then neighbours change places while that helps (Gansner and others, 1993), and both again
    # from there for as long as it does.
    class Ordering
      FIRST = 60
      AGAIN = 5
      # Smoothing goes past the best order; it is looked at after every few steps.
      LOOK = 5
      ROUNDS = 24
      EXCHANGES = 12

      # @param levels [Array<Array>] cells of each level in a first order
      # @param above [Hash{Object => Array}] neighbours on the level above
      # @param below [Hash{Object => Array}] neighbours on the level below
      # @param beside [Hash{Object => Array}] neighbours on the same level
      def initialize(levels, above, below, beside)
        @cells = levels.flatten(1)
        number = @cells.each_with_index.to_h
        @above, @below, @beside =
          [above, below, beside].map { |table| @cells.map { |cell| table.fetch(cell, []).map { |other| number.fetch(other) } } }
        @levels = levels.map { |level| level.map { |cell| number.fetch(cell) } }
        @crossings = Crossings.new(@above, @below, @beside)
        @neighbours = @cells.each_index.map { |cell| @above[cell] + @below[cell] + @beside[cell] }
      end

      # @return [Array<Array>]
      def best = ordered.map { |level| level.map { |cell| @cells[cell] } }

      private

      # From here on cells are numbers: their tables are asked very often.
      def ordered
        best = exchange(@levels)
        fewest = @crossings.count(best)
        levels = @levels
        ROUNDS.times do |round|
          break if fewest.zero?

          levels = exchange(smooth(levels, round.zero? ? FIRST : AGAIN))
          count = @crossings.count(levels)
          break if count >= fewest && round.positive?

          best, fewest = levels, count if count < fewest
        end
        best
      end

      # The best order met on the way of so many steps.
      def smooth(levels, steps)
        scale = Smoothing.new(levels, @neighbours)
        (steps / LOOK)
          .times
          .map do
            LOOK.times { scale.step }
            scale.levels
          end
          .min_by { |order| @crossings.count(order) }
      end

      # Neighbours of a level change places as long as fewer lines cross for it.
      def exchange(levels)
        levels = levels.map(&:dup)
        place = Array.new(@cells.length)
        levels.each { |level| level.each_with_index { |cell, index| place[cell] = index } }
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
        passed(one, other, place) - passed(other, one, place) +
          [@above, @below].sum do |neighbours|
            first, second = neighbours[one], neighbours[other]
            next 0 if first.empty? || second.empty?

            first.sum { |a| second.sum { |b| place[a] <=> place[b] } }
          end
      end

      # Lines within the level that pass the other cell as things stand, less those that would
      # pass it the other way round.
      def passed(cell, other, place)
        return 0 if @beside[cell].empty?

        further = @beside[cell].sum { |id| id == other ? 0 : place[id] <=> place[cell] }
        further.zero? ? 0 : further * @crossings.met(other)
      end
    end
  end
end
