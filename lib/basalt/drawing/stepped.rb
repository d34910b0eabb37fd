# frozen_string_literal: true

module Basalt
  module Drawing
    # Tidies things joined by lines with signs at their ends, in levels by the steps it takes to
    # reach them from one. Which one, and how wide a level may be, is tried out: what fits the paper
    # best with the fewest crossings and bends is taken.
    class Stepped
      SIGNS = 26
      LOOP = 40
      GAP = 70
      WIDEST = 1800
      # Of larger sheets one layout is worked out and no others.
      MOST_TRIED = 70
      ROOTS = 4
      SHARES = [0.18, 0.26, 0.34, 0.42, 0.5, 0.75].freeze

      def initialize(notation, set, things, lines)
        @notation = notation
        @set = set
        @things = things
        @lines = lines
      end

      # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
      def placements
        tries.map { |root, widest| laid(root, widest) }.uniq.min_by { |found| quality(found).cost }
      end

      private

      # @return [Array<Array(String, Numeric)>] where to begin, and how wide a level may be
      def tries
        return [[nil, WIDEST]] if @things.length > MOST_TRIED || @things.length < 3

        all = @things.sum { |thing| breadth(thing) + GAP }
        [nil, *roots].product([WIDEST, *SHARES.map { |share| all * share }]).uniq
      end

      # The most joined, and what everything else is nearest to.
      def roots
        joined = @things.reject { |thing| near[thing.id].empty? }
        central = joined.min_by { |thing| steps([thing.id]).values.max }
        (joined.max_by(ROOTS - 1) { |thing| [near[thing.id].length, -thing.ordinal] }.drop(1) + [central]).compact.map(&:id).uniq
      end

      # How much of a level a thing takes, px.
      def breadth(thing) = @notation.size(@set, thing)[0]

      def laid(root, widest)
        plan = Layout::Layered.call(@things.map { |thing| node(thing, levels(root).fetch(thing.id)) }, edges, gap: GAP, widest:, strip: @notation.strip)
        boxes = @things.to_h do |thing|
          w, h = @notation.size(@set, thing)
          x, y = plan.corners.fetch(thing.id)
          [thing.id, { x:, y:, w:, h: }]
        end
        boxes.merge(plan.routes.transform_values { |points| { route: { "points" => points } } })
      end

      def quality(found)
        boxes = found.select { |_, to| to[:x] }.transform_values { |to| Layout::Box.new(**to.slice(:x, :y, :w, :h)) }
        Layout::Quality.new(boxes, @lines.filter_map { |line| found.dig(line.id, :route, "points")&.then { |points| [*line.poles.first(2), points] } })
      end

      def edges
        @edges ||= @lines.reject { |line| line.poles.uniq.one? }.map do |line|
          middle = @notation.labels(@set, line).sum(&:width)
          Layout::Edge.new(id: line.id, from: line.poles[0], to: line.poles[1], from_room: SIGNS, to_room: SIGNS, middle:)
        end
      end

      def node(thing, level)
        node = @notation.node(@set, thing, level)
        looped = @lines.any? { |line| line.poles.uniq == [thing.id] }
        looped ? node.with(w: node.w + LOOP, beside: false) : node
      end

      # The most joined first where nothing else is said; what hangs together with it follows.
      def levels(root)
        (@levels ||= {})[root] ||= @things.sort_by { |thing| [thing.id == root ? 0 : 1, -near[thing.id].length, thing.ordinal] }.each_with_object({}) do |thing, found|
          found.merge!(steps([thing.id])) unless found.key?(thing.id)
        end
      end

      # @return [Hash{String => Integer}] steps to whatever can be reached
      def steps(ids)
        found = ids.to_h { |id| [id, 0] }
        level = 0
        until ids.empty?
          level += 1
          ids = ids.flat_map { |from| near[from] }.uniq.reject { |to| found.key?(to) }
          ids.each { |id| found[id] = level }
        end
        found
      end

      def near
        @near ||= @lines.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |line, table|
          one, other = line.poles
          next if one == other

          table[one] << other
          table[other] << one
        end
      end
    end
  end
end
