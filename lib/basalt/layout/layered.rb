# frozen_string_literal: true

module Basalt
  module Layout
    # Levels from above to below, with upright lines in lanes of their own between the things
    # and sideways runs only in the channels between levels, so that no line can meet a thing
    # it does not belong to. After Sugiyama, Tagawa and Toda (1981), with orthogonal channels.
    class Layered
      GAP = 44
      LANE = 18
      STRIP = 26
      CHANNEL = 18
      PITCH = 16

      # A place in a level: a node, or the lane of a line that passes.
      Cell = Struct.new(:id, :node, :edge, :level, :x, :w)
      # A line's part between two neighbouring levels, or (with no upper cell) between two of one.
      Part = Struct.new(:edge, :upper, :lower, :lower2, :upper_x, :lower_x, :lower2_x) do
        def key = [edge.id, lower.level]
      end

      # @param nodes [Array<Node>]
      # @param edges [Array<Edge>] both ends being different nodes
      # @param gap [Integer] least distance of boxes in a level, px
      # @param widest [Integer] px; a wider level is broken into several
      # @param strip [Integer] room for the signs and labels at the ends of lines, px
      # @return [Plan]
      def self.call(nodes, edges, gap: GAP, widest: 2400, strip: STRIP)
        new(nodes, edges, gap, widest, strip).plan
      end

      def initialize(nodes, edges, gap, widest, strip)
        @strip = strip
        @gap = gap
        @nodes = Levels.settle(nodes, widest, gap)
        @edges = edges
      end

      def plan
        build
        order
        place
        find_ports
        stack
        Plan.new(corners:, routes:)
      end

      private

      def build
        @cells = @nodes.to_h { |node| [node.id, Cell.new(node.id, node, nil, node.level, 0, node.w)] }
        @levels = Array.new((@nodes.map(&:level).max || -1) + 1) { [] }
        @cells.each_value { |cell| @levels[cell.level] << cell }
        @parts = @edges.flat_map { |edge| parts(edge) }
      end

      def parts(edge)
        upper, lower = [@cells.fetch(edge.from), @cells.fetch(edge.to)].sort_by(&:level)
        return [Part.new(edge, nil, upper, lower)] if upper.level == lower.level

        lanes = ((upper.level + 1)...lower.level).map { |level| lane(edge, level) }
        [upper, *lanes, lower].each_cons(2).map { |one, other| Part.new(edge, one, other) }
      end

      def lane(edge, level)
        Cell.new([edge.id, level], nil, edge, level, 0, 2).tap { |cell| @levels[level] << cell }
      end

      def order
        above = Hash.new { |hash, key| hash[key] = [] }
        below = Hash.new { |hash, key| hash[key] = [] }
        beside = Hash.new { |hash, key| hash[key] = [] }
        @parts.each do |part|
          if part.upper
            below[part.upper.id] << part.lower.id
            above[part.lower.id] << part.upper.id
          else
            beside[part.lower.id] << part.lower2.id
            beside[part.lower2.id] << part.lower.id
          end
        end
        cells = @levels.flatten.to_h { |cell| [cell.id, cell] }
        @levels = Ordering.new(@levels.map { |level| level.map(&:id) }, above, below, beside).best
                          .map { |level| level.map { |id| cells[id] } }
        settle_beside
      end

      # Straight lines between neighbours of a level, one for each pair.
      def settle_beside
        place_in_level = @levels.flat_map { |level| level.each_with_index.to_a }.to_h { |cell, index| [cell.id, index] }
        taken = {}
        @beside = @parts.select do |part|
          next if part.upper || !part.lower.node.beside || !part.lower2.node.beside

          pair = [part.lower, part.lower2].map { |cell| place_in_level[cell.id] }.sort
          next if pair[1] - pair[0] != 1 || taken[[part.lower.level, pair]]

          taken[[part.lower.level, pair]] = part
        end
        @gaps = taken
        @parts -= @beside
      end

      def place
        Positions.new(@levels, @parts, ->(one, other) { distance(one, other) }).settle
        Straightening.new(@levels, ->(one, other) { distance(one, other) }).settle
      end

      # @return [Numeric] least distance between the middles of two neighbouring cells
      def distance(one, other)
        ((one.w + other.w) / 2.0) + clearance(one, other)
      end

      def clearance(one, other)
        return LANE if one.node.nil? || other.node.nil?

        line = @gaps[[one.level, neighbours(one)]]
        line ? [@gap, line.edge.from_room + line.edge.to_room + line.edge.middle + 40].max : @gap
      end

      def neighbours(one)
        @rank ||= @levels.flat_map { |level| level.each_with_index.to_a }.to_h { |cell, index| [cell.id, index] }
        [@rank[one.id], @rank[one.id] + 1]
      end

      def find_ports = Ports.new(@parts).find

      def stack
        @channels = @levels.each_index.map { |level| channel(level) }
        y = 0
        @tops = []
        @starts = []
        @levels.each_index do |level|
          @starts[level] = y
          y += channel_height(level)
          @tops[level] = y
          y += @levels[level].filter_map { |cell| cell.node&.h }.max || 0
        end
      end

      # The parts of lines in the channel above a level.
      def above(level)
        @by_level ||= @parts.group_by { |part| part.lower.level }
        @by_level.fetch(level, [])
      end

      # The channel above a level.
      def channel(level)
        Channel.new(above(level).map { |part| run(part) })
      end

      def run(part)
        Channel::Run.new(id: part.key, upper: [part.upper_x].compact, lower: [part.lower_x, part.lower2_x].compact)
      end

      def channel_height(level)
        return 0 if level.zero? && above(level).empty?

        (2 * @strip) + [@channels[level].height, CHANNEL].max
      end

      def corners
        @nodes.to_h { |node| [node.id, [@cells[node.id].x, @tops[node.level]]] }
      end

      def routes
        found = @parts.group_by(&:edge).to_h { |edge, parts| [edge.id, route(edge, parts)] }
        @beside.each { |part| found[part.edge.id] = straight(part) }
        found
      end

      def route(edge, parts)
        points = parts.flat_map { |part| points(part) }
        points.reverse! if parts.first.upper && parts.first.upper.id != edge.from
        points.reverse! if parts.first.upper.nil? && parts.first.lower.id != edge.from
        Polyline.simplify(points)
      end

      def points(part)
        track = @channels[part.lower.level].tracks[part.key]
        y = @starts[part.lower.level] + @strip + ((track || 0) * Channel::TRACK)
        return [[part.lower_x, foot(part.lower)], [part.lower_x, y], [part.lower2_x, y], [part.lower2_x, foot(part.lower2)]] unless part.upper
        return [[part.upper_x, head(part.upper)], [part.lower_x, foot(part.lower)]] unless track

        [[part.upper_x, head(part.upper)], [part.upper_x, y], [part.lower_x, y], [part.lower_x, foot(part.lower)]]
      end

      # Where a line leaves a cell below, and where it meets one above.
      def head(cell) = @tops[cell.level] + (cell.node ? cell.node.bottom.y : 0)
      def foot(cell) = @tops[cell.level] + (cell.node ? cell.node.top.y : 0)

      def straight(part)
        left, right = [part.lower, part.lower2].sort_by(&:x)
        y = @tops[left.level] + ([left.node.h, right.node.h].min / 2.0)
        points = [[left.x + left.w, y], [right.x, y]]
        left.id == part.edge.from ? points : points.reverse
      end
    end
  end
end
