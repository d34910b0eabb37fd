# frozen_string_literal: true

module Basalt
  module Layout
    # Finds the way of a single line on a sheet that is laid out already: first the plain
    # shapes with few bends, then a search through the gaps between boxes.
    class Router
      BEND = 40
      OVERLAP = 300
      # Nearer than this two lines that run along each other look like one, px.
      APART = 17
      CROWD = 60
      ON = 4
      CLEAR = 7
      STUB = 14
      PAIRS = 40
      LIKELY = 10
      POINTS = 9
      ASIDE = 120
      FAR = 1600
      # Runs of other lines about the way of one, of which it would come to lie on some.
      BUSY = 50

      # @param boxes [Index] what no line may pass through
      # @param lines [Index] segments of other lines, which it should not lie on
      def initialize(boxes, lines)
        @boxes = boxes
        @lines = lines
      end

      # @param from [#attachment_points, #middle]
      # @param to [#attachment_points, #middle]
      # @param own [Array] ids in the indexes of the two ends and of the line itself
      # @param before [Array, nil] the way it had, its ends moved along: good enough where nothing is in its way
      # @return [Array<Array(Numeric, Numeric)>] points
      def route(from, to, own, before: nil)
        pairs = pairs(from, to)
        likely = pairs.first(LIKELY)
        found = plain(likely, own)
        found = nil if found && alongside(found, own) >= OVERLAP
        # Of very many lines hardly one has a plain way that the likely places to begin and to end do not have.
        return found if found

        busy = busy?(from, to)
        (plain(pairs, own) unless busy) || usable(before, own) || beside(pairs, from, to, own, busy) || direct(pairs)
      end

      private

      # Where the way through the gaps lies on other lines, one beside these is taken if it is better; among very many it would.
      def beside(pairs, from, to, own, busy)
        return through(pairs, from, to, own, apart: APART + 1) if busy

        found = through(pairs, from, to, own)
        return found if found.nil? || alongside(found, own) < OVERLAP

        [found, through(pairs, from, to, own, apart: APART + 1)].compact.min_by { |points| cost(points) + alongside(points, own) }
      end

      def busy?(from, to)
        @lines.more?(BUSY, Box.along(from.middle, to.middle).grow(OrthogonalRouter::REACH))
      end

      # Through the gaps from the likeliest attachment_points, and if there is no way from any of them, from all.
      #
      # @param apart [Integer, nil] how far beside other lines there are ways too, px
      def through(pairs, from, to, own, apart: nil)
        maze = OrthogonalRouter.new(@boxes, @lines, own, apart:)
        maze.path(pairs.map(&:first).uniq.first(POINTS), pairs.map(&:last).uniq.first(POINTS)) ||
          maze.path(from.all_attachment_points(to.middle), to.all_attachment_points(from.middle), reach: FAR)
      end

      def usable(points, own) = points && clear?(points, own) ? points : nil

      def plain(pairs, own)
        best(pairs.flat_map { |a, b| Elbows.between(a, b, STUB) }, own)
      end

      def pairs(from, to)
        starts = nearest(from.attachment_points(to.middle), to.middle, POINTS)
        starts
          .flat_map { |one| nearest(to.attachment_points(one[0]), one[0], POINTS).map { |other| [one, other] } }
          .min_by(PAIRS) { |one, other| away(one, other[0]) + away(other, one[0]) }
      end

      def nearest(attachment_points, point, count)
        if attachment_points.length > count
          attachment_points.min_by(count) { |attachment_point| away(attachment_point, point) }
        else
          attachment_points
        end
      end

      # How far a point is from a attachment_point, and more where the attachment_point looks away from it.
      def away((place, direction), point)
        span(place, point) + (facing?(place, direction, point) ? 0 : ASIDE)
      end

      def span(one, other) = (one[0] - other[0]).abs + (one[1] - other[1]).abs

      def facing?(point, direction, other)
        (((other[0] - point[0]) * direction[0]) + ((other[1] - point[1]) * direction[1])).positive?
      end

      def best(candidates, own)
        winner = nil
        least = Float::INFINITY
        candidates
          .map { |points| [cost(points), points] }
          .sort_by(&:first)
          .each do |cost, points|
            break if cost >= least
            next unless clear?(points, own)

            total = cost + alongside(points, own)
            winner, least = points, total if total < least
          end
        winner
      end

      def cost(points) = Polyline.length(points) + (BEND * (points.length - 2))

      # Every segment keeps clear of foreign boxes, and none passes through the ends' own.
      def clear?(points, own)
        segments = Polyline.boxes(points)
        segments.all? { |segment| @boxes.free?(segment) && @boxes.free?(segment.grow(CLEAR)) { |id| own.include?(id) } } &&
          segments[1..-2].to_a.all? { |segment| @boxes.free?(segment.grow(1)) }
      end

      # What it costs to lie on other lines, or close beside them.
      def alongside(points, own)
        points
          .each_cons(2)
          .sum do |one, other|
            level = one[1] == other[1]
            near =
              @lines
                .overlapping(Box.along(one, other).grow(level ? 0 : APART, level ? APART : 0))
                .select { |id, box| !own.include?(id) && (level ? box.h.zero? : box.w.zero?) }
            near.sum { |_, box| (level ? box.y - one[1] : box.x - one[0]).abs < ON ? OVERLAP : CROWD }
          end
      end

      # Where nothing is clear, the shortest way is shown all the same.
      def direct(pairs)
        pairs.first(10).flat_map { |a, b| Elbows.between(a, b, STUB) }.min_by { |points| cost(points) }
      end
    end
  end
end
