# frozen_string_literal: true

module Basalt
  module Layout
    # Finds the x of every cell: each near what it is joined to, in the order of its level.
    class Positions
      SWEEPS = 6
      LANE_WEIGHT = 3.0

      # @param levels [Array<Array<Layered::Cell>>]
      # @param parts [Array<Layered::Part>]
      # @param distance [#call] least distance of the middles of two neighbouring cells
      def initialize(levels, parts, distance)
        @levels = levels
        @gaps = levels.map { |level| [0] + level.each_cons(2).map { |one, other| distance.call(one, other) } }
        @joined = Array.new(levels.sum(&:length)) { [] }
        parts.select(&:between?).each do |part|
          upper, lower = part.feet.map(&:cell)
          @joined[upper.number] << lower
          @joined[lower.number] << upper
        end
      end

      def settle
        @levels.each_index { |index| start(index) }
        SWEEPS.times do |sweep|
          order = sweep.even? ? @levels.each_index.to_a : @levels.each_index.to_a.reverse
          order.each { |index| improve(index) }
        end
        shift
      end

      private

      def start(index)
        x = 0
        @levels[index].each_with_index do |cell, place|
          x += @gaps[index][place]
          cell.x = x - (cell.w / 2.0)
        end
      end

      def improve(index)
        level = @levels[index]
        return if level.empty?

        wanted = level.map { |cell| wish(cell) }
        weights = level.map { |cell| cell.node ? 1.0 : LANE_WEIGHT }
        Spacing.solve(wanted, @gaps[index], weights).each_with_index { |x, place| level[place].x = x - (level[place].w / 2.0) }
      end

      # The middle of what a cell is joined to; something wide is joined wherever is nearest.
      def wish(cell)
        others = @joined[cell.number]
        middle = cell.x + (cell.w / 2.0)
        return middle if others.empty?

        others.sum { |other| nearest(cell, other, middle) } / others.length
      end

      def nearest(cell, other, middle)
        centre = other.x + (other.w / 2.0)
        slack = [other.w - cell.w, 0].max / 2.0
        middle.clamp(centre - slack, centre + slack)
      end

      def shift
        left = @levels.flatten.map(&:x).min || 0
        @levels.flatten.each { |cell| cell.x = (cell.x - left).round }
      end
    end
  end
end
