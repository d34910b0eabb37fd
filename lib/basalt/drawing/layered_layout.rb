# frozen_string_literal: true

module Basalt
  module Drawing
    # Tidies things joined by lines with signs at their ends: what hangs together in levels by the
    # steps it takes to reach it from one thing, separate parts beside each other, and what is joined to nothing
    # in rows beneath. Where to begin and how wide a level may be is tried out: what fits the paper
    # best with the fewest crossings and bends is taken.
    class LayeredLayout
      SIGNS = 26
      LOOP = 40
      GAP = 70
      # Of larger parts one layout is worked out and no others.
      MOST_TRIED = 70
      ROOTS = 4
      SHARES = [0.18, 0.26, 0.34, 0.42, 0.5, 0.75].freeze
      # The one share that is tried where somebody waits for the next letter.
      QUICK = 0.34

      # @param quick [Boolean] try less, for somebody who waits for the next letter
      # @param crowded [Array<String>] ids of lines whose words need a lane of their own
      # @param sizes [Hash{String => Array(Numeric, Numeric)}] of those whose size does not follow from what they say, px
      def initialize(notation, set, things, lines, quick: false, crowded: [], sizes: {})
        @sizes = sizes
        @notation = notation
        @set = set
        @things = things
        @lines = lines
        @quick = quick
        @crowded = crowded.to_set
      end

      # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
      def placements
        alone, joined = parts.partition { |part| part.one? && !loops?(part.first) }
        beneath(packed(joined.map { |part| best(part) }), alone.flatten)
      end

      private

      # Where there is nothing to choose from, nothing is measured.
      def best(part)
        found = tries(part).map { |root, widest| laid(part, root, widest) }
        found.one? ? found.first : found.uniq.min_by { |laid| quality(part, laid).cost }
      end

      # @return [Array<Array<Model::Element>>] what hangs together, in order of making
      def parts
        by_id = @things.to_h { |thing| [thing.id, thing] }
        seen = Set.new
        @things.filter_map do |thing|
          next if seen.include?(thing.id)

          ids = steps([thing.id]).keys
          seen.merge(ids)
          ids.map { |id| by_id[id] }.sort_by(&:ordinal)
        end
      end

      # @return [Boolean] whether a line leads from a thing to itself
      def loops?(thing) = (@loops ||= @lines.map(&:endpoints).select { |ends| ends.uniq.one? }.to_set(&:first)).include?(thing.id)

      # @return [Array<Array(String, Numeric), nil>] where to begin, and how wide a level may be, where not as wide as suits the sheet
      def tries(part)
        return [[nil, nil]] if part.length > MOST_TRIED || part.length < 3

        all = part.sum { |thing| breadth(thing) + GAP }
        roots = [nil, *roots(part)]
        return roots.product([nil, all * QUICK]) if @quick

        roots.product([nil, *SHARES.map { |share| all * share }]).uniq
      end

      # The most joined, and what everything else is nearest to.
      def roots(part)
        central = part.min_by { |thing| steps([thing.id]).values.max }
        (part.max_by(ROOTS - 1) { |thing| [near[thing.id].length, -thing.ordinal] }.drop(1) + [central]).map(&:id).uniq
      end

      def size(thing) = @sizes[thing.id] || @notation.size(@set, thing)

      # How much of a level a thing takes, px.
      def breadth(thing) = size(thing)[0]

      def laid(part, root, widest)
        levels = levels(part, root)
        plan = plan(part.map { |thing| node(thing, levels.fetch(thing.id)) }, edges(part), gap: GAP, widest:, strip: @notation.strip)
        boxes =
          part.to_h do |thing|
            w, h = size(thing)
            x, y = plan.corners.fetch(thing.id)
            [thing.id, { x:, y:, w:, h: }]
          end
        boxes.merge(plan.routes.to_h { |id, points| [id, { route: { "points" => points, "words" => plan.words[id] }.compact }] })
      end

      # What comes to the same is laid out once, where several are tried.
      def plan(nodes, edges, **how)
        layered = Layout::Layered.new(nodes, edges, **how)
        return layered.plan if nodes.length > MOST_TRIED

        (@plans ||= {})[layered.given] ||= layered.plan
      end

      def quality(part, found)
        Layout::Quality.new(
          boxes(found),
          lines_of(part).filter_map { |line| found.dig(line.id, :route, "points")&.then { |points| [*line.endpoints.first(2), points] } }
        )
      end

      def boxes(found) = found.select { |_, to| to[:x] }.transform_values { |to| Layout::Box.new(**to.slice(:x, :y, :w, :h)) }

      def lines_of(part)
        @lines_of ||= @lines.group_by { |line| line.endpoints.first }
        part.flat_map { |thing| @lines_of.fetch(thing.id, []) }
      end

      def edges(part)
        lines_of(part)
          .reject { |line| line.endpoints.uniq.one? }
          .map do |line|
            middle = @notation.labels(@set, line).sum(&:width)
            Layout::Edge.new(
              id: line.id,
              from: line.endpoints[0],
              to: line.endpoints[1],
              from_room: SIGNS,
              to_room: SIGNS,
              middle:,
              lane: lane(line)
            )
          end
      end

      def lane(line)
        return unless @crowded.include?(line.id)

        @notation.labels(@set, line).find { |label| label.role == "middle" }&.then { |label| [label.width + 4, label.height + 4] }
      end

      # Separate parts beside each other.
      def packed(parts)
        return parts.first || {} if parts.length < 2

        corners = Layout::Packing.call(parts.map { |found| boxes(found).merge(routes(found)) })
        parts.each_with_object({}) do |found, all|
          id, box = boxes(found).first
          all.merge!(moved(found, corners[id][0] - box.x, corners[id][1] - box.y))
        end
      end

      # The ways of lines take room too.
      def routes(found)
        found.reject { |_, to| to[:x] }.transform_values { |to| Layout::Box.around(Layout::Polyline.boxes(to[:route]["points"])) }
      end

      def moved(found, dx, dy)
        found.transform_values do |to|
          to[:x] ? to.merge(x: (to[:x] + dx).round, y: (to[:y] + dy).round) : { route: shifted(to[:route], dx, dy) }
        end
      end

      def shifted(route, dx, dy)
        {
          "points" => route["points"].map { |x, y| [x + dx, y + dy] },
          "words" => route["words"]&.then { |x, y| [x + dx, y + dy] }
        }.compact
      end

      # What is joined to nothing waits in rows of its own.
      def beneath(found, alone)
        around = Layout::Box.around(boxes(found).values)
        sizes = alone.map { |thing| size(thing) }
        width = [around&.w || 0, Math.sqrt(2 * sizes.sum { |w, h| (w + GAP) * (h + GAP) })].max
        x = row = 0
        left, y = around ? [around.x, around.bottom + (2 * GAP)] : [0, 0]
        alone
          .zip(sizes)
          .each_with_object(found.dup) do |(thing, (w, h)), all|
            x, y, row = 0, y + row + GAP, 0 if x.positive? && x + w > width
            all[thing.id] = { x: (left + x).round, y: y.round, w:, h: }
            x += w + GAP
            row = [row, h].max
          end
      end

      def node(thing, level)
        node = @sizes.key?(thing.id) ? Layout::Node.box(thing.id, *size(thing), level) : @notation.node(@set, thing, level)
        loops?(thing) ? node.with(w: node.w + LOOP, beside: false) : node
      end

      # The most joined first where nothing else is said.
      def levels(part, root) = steps([root || part.min_by { |thing| [-near[thing.id].length, thing.ordinal] }.id])

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
        @near ||=
          @lines.each_with_object(@things.to_h { |thing| [thing.id, []] }) do |line, table|
            one, other = line.endpoints
            next if one == other

            table[one] << other
            table[other] << one
          end
      end
    end
  end
end
