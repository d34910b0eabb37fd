# frozen_string_literal: true

module Basalt
  module Layout
    # The way through the gaps between boxes: a sparse grid of the edges of what is near, and
    # the cheapest path on it by A* (Hart, Nilsson and Raphael, 1968) with a price for bends.
    class Maze
      REACH = 320
      MARGIN = 12
      BEND = 40
      STEPS = 12_000
      # How much nearer counts for more than cheaper: far fewer steps, and a way that is a
      # little longer at times (Pohl, "Heuristic Search Viewed as Path Finding in a Graph", 1970).
      HASTE = 1.6
      DIRECTIONS = [[1, 0], [-1, 0], [0, 1], [0, -1]].freeze

      # @param boxes [Index]
      # @param own [Array] ids of what the line ends at
      def initialize(boxes, own)
        @boxes = boxes
        @own = own
      end

      # @param pairs [Array] pairs of doors, most likely first
      # @return [Array<Array(Numeric, Numeric)>, nil]
      def path(pairs)
        pairs.uniq { |(_, d), (_, e)| [d, e] }.first(6).each do |(p, d), (q, e)|
          found = search(p, d, q, e)
          return Polyline.simplify([p, *found, q]) if found
        end
        nil
      end

      private

      def search(p, d, q, e)
        start = out(p, d)
        goal = out(q, e)
        lay_grid(start, goal)
        walk(start, d, goal, e)
      end

      def out(point, direction) = [point[0] + (direction[0] * MARGIN), point[1] + (direction[1] * MARGIN)]

      def lay_grid(start, goal)
        region = Box.along(start, goal).grow(REACH)
        near = @boxes.overlapping(region).map(&:last)
        @xs = (near.flat_map { |box| [box.x - MARGIN, box.right + MARGIN] } + [start[0], goal[0], region.x, region.right]).uniq.sort
        @ys = (near.flat_map { |box| [box.y - MARGIN, box.bottom + MARGIN] } + [start[1], goal[1], region.y, region.bottom]).uniq.sort
        @open = {}
        @column = @xs.each_with_index.to_h
        @row = @ys.each_with_index.to_h
      end

      def walk(start, direction, goal, arriving)
        first = [@column[start[0]], @row[start[1]], direction]
        costs = { first => 0 }
        came = {}
        queue = Heap.new
        queue.push(first, 0)
        STEPS.times do
          state = queue.pop or return nil
          return trace(came, state) if at?(state, goal)

          each_step(state, goal, arriving) { |after, price| relax(queue, costs, came, state, after, price, goal) }
        end
        nil
      end

      def relax(queue, costs, came, state, after, price, goal)
        total = costs[state] + price
        return if costs.key?(after) && costs[after] <= total

        costs[after] = total
        came[after] = state
        queue.push(after, total + (HASTE * ((@xs[after[0]] - goal[0]).abs + (@ys[after[1]] - goal[1]).abs)))
      end

      def at?(state, goal) = @xs[state[0]] == goal[0] && @ys[state[1]] == goal[1]

      def each_step(state, goal, arriving)
        column, row, direction = state
        DIRECTIONS.each do |dx, dy|
          next if dx == -direction[0] && dy == -direction[1]

          to = [column + dx, row + dy]
          next if to.any?(&:negative?) || to[0] >= @xs.length || to[1] >= @ys.length || !open?(column, row, *to)

          price = (@xs[to[0]] - @xs[column]).abs + (@ys[to[1]] - @ys[row]).abs + (direction == [dx, dy] ? 0 : BEND)
          price += BEND if at?(to, goal) && [dx, dy] != [-arriving[0], -arriving[1]]
          yield [*to, [dx, dy]], price
        end
      end

      def open?(column, row, to_column, to_row)
        key = [column, row, to_column, to_row]
        @open.fetch(key) { @open[key] = @boxes.free?(Box.along([@xs[column], @ys[row]], [@xs[to_column], @ys[to_row]]).grow(3)) }
      end

      def trace(came, state)
        points = []
        while state
          points.unshift([@xs[state[0]], @ys[state[1]]])
          state = came[state]
        end
        points
      end
    end
  end
end
