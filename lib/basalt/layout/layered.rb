# frozen_string_literal: true

module Basalt
  module Layout
    # Levels from above to below, with upright lines in lanes of their own between the things
    # and sideways runs only in the channels between levels, so that no line can meet a thing
    # it does not belong to. After Sugiyama, Tagawa and Toda (1981), with orthogonal channels.
    class Layered
      GAP = 44
      LANE = 18
      ASIDE = 10
      STRIP = 26
      BARE = 12
      CHANNEL = 14
      PITCH = 16
      # A level that is no wider than this is not broken, however few things there are, px.
      WIDEST = 2400

      # A place in a level: a node, or the lane of a line that passes. All have numbers, from 0 on.
      Cell = Struct.new(:number, :node, :edge, :level, :x, :w)
      # Where a part of a line meets a cell.
      Foot = Struct.new(:cell, :x)
      # A line's part in the channel above a level: from a cell above it to one below, or between
      # two cells of one level, over them or under them.
      Part =
        Struct.new(:edge, :uppers, :lowers, :level) do
          def feet = uppers + lowers
          def between? = uppers.any? && lowers.any?
          def key = [edge.id, level, lowers.last&.cell&.number]

          # Goes under its two cells, where it went over them.
          def turn
            self.uppers, self.lowers, self.level = lowers, uppers, level + 1
          end
        end

      # @param nodes [Array<Node>]
      # @param edges [Array<Edge>] both ends being different nodes
      # @param gap [Integer] least distance of boxes in a level, px
      # @param widest [Numeric, nil] px; a level that is wider than this is broken into several; nil for what suits the sheet
      # @param strip [Integer] room for the signs and labels at the ends of lines, px
      # @return [Plan]
      def self.call(nodes, edges, **how) = new(nodes, edges, **how).plan

      # (see .call)
      def initialize(nodes, edges, gap: GAP, widest: nil, strip: STRIP)
        @strip = strip
        @gap = gap
        @edges = edges
        @nodes = between(Levels.settle(nodes, widest || [WIDEST, Levels.fitting(nodes, gap)].max, gap))
      end

      # @return [Array] all that the plan follows from: the same for many a width, which breaks the same levels
      def given = [@nodes, @edges, @gap, @strip]

      # @return [Plan]
      def plan
        build
        order
        place
        find_ports
        stack
        Plan.new(corners:, routes:, words:)
      end

      private

      # Between two levels where a label is to have a lane there is one more, for lanes alone; a line that
      # joins two of one level has its label above them.
      def between(nodes)
        levels = nodes.to_h { |node| [node.id, node.level] }
        upper =
          @edges
            .select(&:lane)
            .map { |edge| levels.values_at(edge.from, edge.to).minmax }
            .select { |one, other| other - one < 2 }
            .map { |_, other| other - 1 }
            .uniq
        upper.empty? ? nodes : nodes.map { |node| node.with(level: node.level + upper.count { |level| level < node.level }) }
      end

      def build
        @cells = @nodes.to_h { |node| [node.id, Cell.new(nil, node, nil, node.level, 0, node.w)] }
        @levels = Array.new((@nodes.map(&:level).max || -1) + 1) { [] }
        @cells.each_value { |cell| @levels[cell.level] << cell }
        @parts = @edges.flat_map { |edge| parts(edge) }
        @levels.flatten.each_with_index { |cell, number| cell.number = number }
      end

      def parts(edge)
        upper, lower = [@cells.fetch(edge.from), @cells.fetch(edge.to)].sort_by(&:level)
        return level_parts(edge, upper, lower) if upper.level == lower.level

        lanes = ((upper.level + 1)...lower.level).map { |level| lane(edge, level) }
        word(lanes[(lanes.length - 1) / 2]) if edge.lane
        [upper, *lanes, lower].each_cons(2).map { |one, other| Part.new(edge, [Foot.new(one)], [Foot.new(other)], other.level) }
      end

      # Over or under the two, or by way of its label above them.
      def level_parts(edge, one, other)
        return [Part.new(edge, [], [Foot.new(one), Foot.new(other)], one.level)] unless edge.lane

        turn = lane(edge, one.level - 1)
        word(turn, ASIDE)
        @cells.values_at(edge.from, edge.to).map { |cell| Part.new(edge, [Foot.new(turn)], [Foot.new(cell)], cell.level) }
      end

      # Makes a lane one with room for the label of its line, and for the line at both sides of it.
      def word(cell, aside = 0)
        cell.w = cell.edge.lane[0] + (2 * aside)
        (@words ||= []) << cell
      end

      def lane(edge, level)
        Cell.new(nil, nil, edge, level, 0, 2).tap { |cell| @levels[level] << cell }
      end

      def order
        cells = @levels.flatten
        above, below, beside = neighbours(cells.length)
        ordered = Ordering.new(@levels.map { |level| level.map(&:number) }, above, below, beside).best
        @levels = ordered.map { |level| cells.values_at(*level) }
        @rank = Array.new(cells.length)
        ordered.each { |level| level.each_with_index { |number, index| @rank[number] = index } }
        settle_beside
        turn_under(Crossings.new(above, below, beside), ordered)
      end

      # @return [Array<Array<Array<Integer>>>] those of each cell above, below and beside it
      def neighbours(length)
        above, below, beside = Array.new(3) { Array.new(length) { [] } }
        @parts.each do |part|
          one, other = part.feet.map { |foot| foot.cell.number }
          (part.between? ? below : beside)[one] << other
          (part.between? ? above : beside)[other] << one
        end
        [above, below, beside]
      end

      # Straight lines between neighbours of a level, one for each pair.
      def settle_beside
        @gaps = {}
        @beside =
          @parts.select do |part|
            next if part.between? || !part.feet.all? { |foot| foot.cell.node.beside }

            pair = part.feet.map { |foot| @rank[foot.cell.number] }.sort
            next if pair[1] - pair[0] != 1 || @gaps[[part.level, pair]]

            @gaps[[part.level, pair]] = part
          end
        @parts -= @beside
      end

      # What joins two of one level goes under them where it meets fewer lines there.
      def turn_under(crossings, ordered)
        @parts
          .reject(&:between?)
          .group_by(&:level)
          .each do |level, parts|
            under = crossings.aside(ordered[level])
            parts.each { |part| part.turn if under.call(*part.feet.map { |foot| @rank[foot.cell.number] }) }
          end
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

        rank = @rank[one.number]
        line = @gaps.any? && @gaps[[one.level, [rank, rank + 1]]]
        line ? [@gap, line.edge.from_room + line.edge.to_room + line.edge.middle + 40].max : @gap
      end

      def find_ports = Ports.new(@parts).find

      def stack
        @by_level = @parts.group_by(&:level)
        @channels = Array.new(@levels.length + 1) { |level| Channel.new(above(level).map { |part| run(part) }) }
        y = 0
        @tops = []
        @starts = []
        @channels.each_index do |level|
          @starts[level] = y
          @tops[level] = y += channel_height(level)
          y += @levels[level].to_a.filter_map { |cell| cell.node ? cell.node.h : cell.edge.lane&.last }.max || 0
        end
      end

      # The parts of lines in the channel above a level.
      def above(level) = @by_level.fetch(level, [])
      def run(part) = Channel::Run.new(id: part.key, upper: part.uppers.map(&:x), lower: part.lowers.map(&:x))

      def channel_height(level)
        return 0 if level.zero? && above(level).empty?

        strip(level, :uppers) + [@channels[level].height, CHANNEL].max + strip(level, :lowers)
      end

      # Room at one side of a channel for what stands at the ends of its lines; little where nothing does.
      #
      # @param side [Symbol] +:uppers+ or +:lowers+
      def strip(level, side)
        (@strips ||= {})[[level, side]] ||= begin
          bare = above(level).none? { |part| part.public_send(side).any? { |foot| labelled?(part.edge, foot) } }
          [bare ? BARE : @strip, side == :lowers ? rise(level) : 0].max
        end
      end

      def rise(level) = @levels[level].to_a.filter_map { |cell| cell.node&.rise }.max || 0

      def labelled?(edge, foot) = (edge.middle.positive? && edge.lane.nil?) || (foot.cell.node && edge.room(foot.cell.node.id).positive?)

      def corners
        @nodes.to_h { |node| [node.id, [@cells[node.id].x, @tops[node.level]]] }
      end

      # @return [Hash{Object => Array(Numeric, Numeric)}] the middle of each label that has a lane of its own
      def words
        @words.to_a.to_h { |cell| [cell.edge.id, [cell.x + (cell.w / 2.0), @tops[cell.level] + (cell.edge.lane[1] / 2.0)]] }
      end

      def routes
        found = @parts.group_by { |part| part.edge.id }.transform_values { |parts| route(parts.first.edge, parts) }
        @beside.each { |part| found[part.edge.id] = straight(part) }
        found
      end

      def route(edge, parts)
        return turned(parts) if turn?(parts)

        points = parts.flat_map { |part| points(part) }
        points.reverse! if parts.first.feet.first.cell.node&.id != edge.from
        Polyline.simplify(points)
      end

      def turn?(parts) = parts.length == 2 && parts.map { |part| part.uppers.first&.cell }.uniq.one?

      # Up to where its label stands, along it and down again.
      def turned(parts)
        middle = parts.first.edge.lane[1] / 2.0
        up, down = parts.map { |part| points(part).then { |first, *rest| [[first[0], first[1] + middle], *rest] } }
        Polyline.simplify(up.reverse + down)
      end

      def points(part)
        track = @channels[part.level].tracks[part.key]
        y = @starts[part.level] + strip(part.level, :uppers) + ((track || 0) * Channel::TRACK)
        one, other = part.uppers.map { |foot| [foot.x, head(foot.cell)] } + part.lowers.map { |foot| [foot.x, foot(foot.cell)] }
        track ? [one, [one[0], y], [other[0], y], other] : [one, other]
      end

      # Where a line leaves a cell below, and where it meets one above.
      def head(cell) = @tops[cell.level] + (cell.node ? cell.node.bottom.y : 0)
      def foot(cell) = @tops[cell.level] + (cell.node ? cell.node.top.y : 0)

      def straight(part)
        left, right = part.feet.map(&:cell).sort_by(&:x)
        y = @tops[left.level] + ([left.node.h, right.node.h].min / 2.0)
        points = [[left.x + left.w, y], [right.x, y]]
        left.node.id == part.edge.from ? points : points.reverse
      end
    end
  end
end
