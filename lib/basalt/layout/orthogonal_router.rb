# frozen_string_literal: true

module Basalt
  module Layout
    # The way through the gaps between boxes: a sparse grid of the edges of what is near, and
    # the cheapest path on it by A* (Hart, Nilsson and Raphael, 1968) with a price for bends,
    # from any attachment_point of the one end to any attachment_point of the other at once.
    class OrthogonalRouter
      REACH = 240
      MARGIN = 12
      BEND = 40
      ALONG = 24
      # The same where there are ways beside other lines.
      SHUN = 160
      STEPS = 20_000
      # How much nearer counts for more than cheaper: far fewer steps, and a way that is a
      # little longer at times (Pohl, "Heuristic Search Viewed as Path Finding in a Graph", 1970).
      HASTE = 2.5
      # Right, down, left, up; each is turned back by the one two further on.
      DIRECTIONS = [[1, 0], [0, 1], [-1, 0], [0, -1]].freeze

      # @param boxes [Index] what no line passes through
      # @param lines [Index] segments of lines beside which there is room elsewhere
      # @param own [Array] ids of the line and what it ends at
      # @param apart [Integer, nil] how far beside other lines the grid has lines of its own, px; nil for none
      def initialize(boxes, lines, own, apart: nil)
        @apart = apart
        @boxes = boxes
        @lines = lines
        @own = own
      end

      # @param starts [Array] attachment_points of the one end, each a point and a direction
      # @param goals [Array] attachment_points of the other
      # @param reach [Integer] how far around them to look, px
      # @return [Array<Array(Numeric, Numeric)>, nil]
      def path(starts, goals, reach: REACH)
        @starts = attachment_points(starts)
        @goals = attachment_points(goals)
        lay_grid(reach)
        # Where every attachment_point of an end is walled in, no search would find a way.
        walk if [@starts, @goals].all? { |ends| ends.any? { |attachment_point| open?(attachment_point.node) } }
      end

      private

      # A point, the point a little out from it, and the number of the direction out.
      AttachmentPoint = Struct.new(:point, :out, :direction, :node)

      def attachment_points(found)
        found.uniq.map do |point, direction|
          AttachmentPoint.new(point, [point[0] + (direction[0] * MARGIN), point[1] + (direction[1] * MARGIN)], DIRECTIONS.index(direction))
        end
      end

      def lay_grid(reach)
        outs = (@starts + @goals).map(&:out)
        region = Box.around(outs.map { |x, y| Box.new(x:, y:, w: 0, h: 0) }).grow(reach)
        near = @boxes.overlapping(region).map(&:last)
        others = @lines.overlapping(region).reject { |id, _| @own.include?(id) }.map(&:last)
        xs, ys = beside(others)
        @grid = Grid.new(near.flat_map { |box| [box.x - MARGIN, box.right + MARGIN] } + outs.map(&:first) + [region.x, region.right] + xs,
                         near.flat_map { |box| [box.y - MARGIN, box.bottom + MARGIN] } + outs.map(&:last) + [region.y, region.bottom] + ys)
        near.each { |box| @grid.block(box) }
        others.each { |segment| @grid.charge(segment, @apart ? SHUN : ALONG) }
        (@starts + @goals).each { |attachment_point| attachment_point.node = @grid.node(attachment_point.out) }
      end

      # Segments beside which there are ways; more would make the grid too fine to be searched.
      MOST_BESIDE = 40
      private_constant :MOST_BESIDE

      # @return [Array(Array<Numeric>, Array<Numeric>)] x beside upright segments, and y beside level ones
      def beside(segments)
        return [], [] unless @apart

        upright, level = segments.max_by(MOST_BESIDE) { |segment| segment.w + segment.h }.partition { |segment| segment.w.zero? }
        [upright.flat_map { |one| [one.x - @apart, one.x + @apart] }, level.flat_map { |one| [one.y - @apart, one.y + @apart] }]
      end

      def walk
        prepare
        STEPS.times do
          state = @queue.pop or return nil
          return trace(state - @finish) if state >= @finish

          cost = @costs[state]
          arrive(state, cost)
          step(state, cost)
        end
        nil
      end

      def open?(node)
        DIRECTIONS.each_index.any? { |direction| inside?(node, direction) && @grid.price(node, direction) < Grid::WALL }
      end

      def prepare
        @finish = @grid.size * 4
        @width = @grid.width
        @wide, @high = [@grid.xs, @grid.ys].map { |values| values.each_cons(2).map { |one, other| other - one } }
        @costs = Array.new(@finish)
        @came = Array.new(@finish)
        @queue = Heap.new
        @ahead_across, @ahead_down = [@grid.xs, @grid.ys].each_with_index.map { |values, axis|
          ahead(values, @goals.map { |one|
            one.out[axis]
          })
        }
        @arrivals = @goals.group_by(&:node)
        @starts.each { |one| go(nil, one.direction, one.node, one.node % @width, one.node / @width, 0, 0) }
      end

      # A way that comes to a goal is a way once what its last turn costs is paid.
      def arrive(state, cost)
        @arrivals[state / 4]&.each do |attachment_point|
          turned = (attachment_point.direction + 2) % 4 == state % 4 ? 0 : BEND
          @queue.push(@finish + state, cost + turned)
        end
      end

      # To wherever one can go on from there but back. Written out, since millions of steps are taken.
      def step(state, cost)
        node, heading = state / 4, state % 4
        row, column = node / @width, node % @width
        level, upright = @grid.level_walls, @grid.upright_walls
        unless heading == 2 || column == @wide.length
          go(state, 0, node + 1, column + 1, row, cost, @wide[column] + level[node])
        end
        unless heading == 3 || row == @high.length
          go(state, 1, node + @width, column, row + 1, cost, @high[row] + upright[node])
        end
        unless heading.zero? || column.zero?
          go(state, 2, node - 1, column - 1, row, cost, @wide[column - 1] + level[node - 1])
        end
        return if heading == 1 || row.zero?

        go(state, 3, node - @width, column, row - 1, cost, @high[row - 1] + upright[node - @width])
      end

      def go(from, direction, node, column, row, cost, price)
        return if price >= Grid::WALL

        total = cost + price + (from.nil? || from % 4 == direction ? 0 : BEND)
        state = (node * 4) + direction
        known = @costs[state]
        return if known && known <= total

        @costs[state] = total
        @came[state] = from
        @queue.push(state, total + @ahead_across[column] + @ahead_down[row])
      end

      # @return [Boolean] whether there is a node beside one
      def inside?(node, direction)
        case direction
        when 0 then (node + 1) % @grid.width != 0
        when 1 then node + @grid.width < @grid.size
        when 2 then node % @grid.width != 0
        else node >= @grid.width
        end
      end

      # @param values [Array<Numeric>] of the grid
      # @param goals [Array<Numeric>] x or y of what is to be reached
      # @return [Array<Numeric>] what is at least to go from each value, made more of
      def ahead(values, goals)
        low, high = goals.minmax
        values.map { |value| HASTE * [low - value, value - high, 0].max }
      end

      def trace(state)
        goal = @arrivals[state / 4].min_by { |attachment_point| (attachment_point.direction + 2) % 4 == state % 4 ? 0 : 1 }
        points = [goal.point]
        while state
          first = state
          points.unshift(@grid.point(state / 4))
          state = @came[state]
        end
        start = @starts.find { |attachment_point| (attachment_point.node * 4) + attachment_point.direction == first }
        Polyline.simplify([start.point, *points])
      end
    end
  end
end
