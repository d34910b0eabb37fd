# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # The trays that are measured from one corner, as a network: they join where they cross or meet. Lengths are in m, by right angles
      # from a thing to the tray and along the trays from there.
      class Trays
        # So far apart two points are one, m.
        NEAR = 0.005
        FAR = Float::INFINITY

        # @param paths [Array<Array<Point>>]
        def initialize(paths)
          segments = paths.flat_map { |points| points.each_cons(2).to_a }.reject { |one, other| one == other }
          @pieces = segments.flat_map { |segment| cut(segment, segments) }.uniq
          @points = @pieces.flatten.uniq
          @near = Hash.new { |hash, point| hash[point] = {} }
          @pieces.each { |one, other| @near[one][other] = @near[other][one] = length(one, other) }
          @from = {}
        end

        def any? = @pieces.any?

        # @return [Float, nil] m from one point to another, by the trays that are nearest to them; nil where these do not lead there
        def between(one, other)
          return unless any?

          from, to = entry(one), entry(other)
          all = from.distance + along(from, to) + to.distance
          all if all < FAR
        end

        private

        # Where a thing joins a piece of tray, and how far that is from it.
        Entry = Value.of(:piece, :point, :distance)
        private_constant :Entry

        def entry(point)
          (@entries ||= {})[point] ||= @pieces.map { |piece| entry_at(point, piece) }.min_by(&:distance)
        end

        def entry_at(point, piece)
          Trays.nearest(point, *piece).then { |at| Entry.new(piece:, point: at, distance: point.distance(at)) }
        end

        def along(from, to)
          return length(from.point, to.point) if from.piece == to.piece

          ways = from.piece.product(to.piece)
          ways.map { |one, other| length(from.point, one) + distances(one).fetch(other, FAR) + length(other, to.point) }.min
        end

        # Dijkstra's shortest paths over the points of the trays.
        def distances(start)
          @from[start] ||=
            begin
              found = {}
              open = { start => 0.0 }
              until open.empty?
                point, distance = open.min_by(&:last)
                open.delete(point)
                found[point] = distance
                @near[point].each do |other, step|
                  open[other] = [open.fetch(other, FAR), distance + step].min unless found.key?(other)
                end
              end
              found
            end
        end

        def length(one, other) = Math.hypot(one.x - other.x, one.y - other.y)

        # A segment in pieces that end where others meet it.
        def cut(segment, others)
          one, = segment
          on = others.flat_map { |two| Trays.meetings(segment, two) } + segment
          points = on.uniq.sort_by { |point| length(one, point) }
          points.each_cons(2).reject { |from, to| length(from, to) < NEAR }.map { |pair| pair.sort_by { |point| [point.x, point.y] } }
        end

        class << self
          # @return [Point] of a segment the point that is nearest to another
          def nearest(point, one, other)
            dx, dy = other.x - one.x, other.y - one.y
            share = (((point.x - one.x) * dx) + ((point.y - one.y) * dy)) / ((dx * dx) + (dy * dy))
            share = share.clamp(0.0, 1.0)
            Point.restore([(one.x + (share * dx)).round(3), (one.y + (share * dy)).round(3)])
          end

          # @return [Array<Point>] where a segment is met by another
          def meetings(segment, other)
            touching = other.select { |point| near?(point, segment) } + segment.select { |point| near?(point, other) }
            [crossing(segment, other), *touching].compact.uniq
          end

          private

          def near?(point, segment)
            at = nearest(point, *segment)
            Math.hypot(point.x - at.x, point.y - at.y) < NEAR
          end

          def crossing(segment, other)
            (a, b), (c, d) = segment, other
            across = ((b.x - a.x) * (d.y - c.y)) - ((b.y - a.y) * (d.x - c.x))
            return if across.abs < 1e-9

            share = (((c.x - a.x) * (d.y - c.y)) - ((c.y - a.y) * (d.x - c.x))) / across
            further = (((c.x - a.x) * (b.y - a.y)) - ((c.y - a.y) * (b.x - a.x))) / across
            return unless share.between?(0, 1) && further.between?(0, 1)

            Point.restore([(a.x + (share * (b.x - a.x))).round(3), (a.y + (share * (b.y - a.y))).round(3)])
          end
        end
      end
    end
  end
end
