# frozen_string_literal: true

module Basalt
  module Layout
    # Puts the lanes of a line that passes several levels at one x, wherever its neighbours
    # leave that much room, so that it runs straight.
    class Straightening
      # @param levels [Array<Array<Layered::Cell>>] in order, with their x
      # @param distance [#call] least distance of the middles of two neighbouring cells
      def initialize(levels, distance)
        @levels = levels
        @distance = distance
        @place = []
        levels.each { |level| level.each_with_index { |cell, index| @place[cell.number] = index } }
      end

      def settle
        chains.each { |chain| straighten(chain) }
      end

      private

      # The lanes of each line, from above to below, the longest first.
      def chains
        lanes = @levels.flatten.reject(&:node).group_by { |lane| lane.edge.id }.values
        lanes.select { |chain| chain.length > 1 }.sort_by { |chain| -chain.length }
      end

      # In as few straight pieces as the neighbours allow.
      def straighten(chain)
        until chain.empty?
          low, high = -Float::INFINITY, Float::INFINITY
          run =
            chain.take_while do |lane|
              from, to = room(lane)
              low, high = [low, from].max, [high, to].min
              low <= high
            end
          run = chain.first(1) if run.empty?
          align(run) if run.length > 1
          chain = chain.drop(run.length)
        end
      end

      def align(run)
        rooms = run.map { |lane| room(lane) }
        middle = run.sum(&:x) / run.length
        x = middle.clamp(rooms.map(&:first).max, rooms.map(&:last).min).round
        run.each { |lane| lane.x = x }
      end

      # How far to the left and right a lane can go.
      def room(lane)
        level = @levels[lane.level]
        index = @place[lane.number]
        before = index.positive? ? level[index - 1] : nil
        after = level[index + 1]
        half = lane.w / 2.0
        [
          before ? (middle(before) + @distance.call(before, lane) - half).ceil : -1_000_000,
          after ? (middle(after) - @distance.call(lane, after) - half).floor : 1_000_000
        ]
      end

      def middle(cell) = cell.x + (cell.w / 2.0)
    end
  end
end
