# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # How far apart the lifelines of an interaction stand: so far that the words of every message have room beside the lifeline of
      # whoever speaks, and the edges of every fragment beside those that it is about.
      class SequenceColumns
        P = Drawing::Pens
        # Between the heads of two neighbours, and on both sides of words, px.
        BESIDE = 28
        AROUND = 16
        LEAST = 90
        # Beside the first and the last lifeline in a fragment, and around one that stands in it.
        LEFT = 14
        RIGHT = 18
        NESTED = 8
        # How far a message to oneself reaches.
        LOOP = 26
        # Of a message that comes from nobody known, or that nobody gets.
        STUB = 60

        # @param course [Interactions::Course]
        # @param rows [SequenceRows]
        # @param heads [Array<Numeric>] widths of the heads, in order
        def initialize(course, rows, heads)
          @rows = rows
          @heads = heads
          @order = course.participants.each_with_index.to_h { |one, index| [one.id, index] }
          @gaps = Array.new([heads.length, 1].max) { LEAST }
          @left = AROUND
          @frames = {}
          heads.each_cons(2).with_index { |(one, other), index| widen(index, ((one + other) / 2) + BESIDE) }
          walk(course.items)
        end

        # @return [Array<Integer>] the middle of each lifeline, px
        def middles
          return [] if @heads.empty?

          @middles ||= @gaps.first(@heads.length - 1).reduce([[@left, @heads.first / 2].max]) { |found, gap|
            found << (found.last + gap)
          }
            .map(&:round)
        end

        # @return [Numeric] of the right edge of all
        def right = middles.empty? ? 0 : [middles.last + (@heads.last / 2), middles.last + @gaps.last].max

        # @return [Integer, nil]
        def place(participant_id) = @order[participant_id]

        # An empty fragment may be left where nobody takes part any more: it stands where the first lifeline would.
        #
        # @return [Numeric] the middle of the lifeline at that place, px
        def middle(place) = middles[place] || @left

        # @return [Hash{String => Array(Numeric, Numeric)}] by fragment, its left and right edge, px
        def frames = @frames.transform_values { |first, last, left, right| [middle(first) - left, middle(last) + right] }

        # @param other [SequenceColumns] of the same items
        # @return [Boolean] whether everything stands as far to the right there
        def stands?(other) = middles == other.middles && frames == other.frames

        # @return [Integer] the gap in which the words of a message stand, by the place of the lifeline to its left
        def gap(one)
          from, to = one.endpoints.map { |id| @order.fetch(id, 0) }
          return from - 1 if one["open"] == Interactions::Kinds::FOUND && from.positive?
          return from if from == to

          to > from ? from : from - 1
        end

        # @return [Numeric] the width of the words of an element, px
        def words(one) = @rows.rows.fetch(one.id).lines.map { |line| P.width(line, :verb) }.max || 0

        private

        def widen(gap, width)
          return @left = [@left, width].max if gap.negative?

          @gaps[gap] = [@gaps[gap], width].max
        end

        # How far an item reaches: its first and its last lifeline, and how much further to the left and to the right of these, px.
        Reach = Value.of(:first, :last, :left, :right)
        private_constant :Reach

        # @return [Array<Reach>]
        def walk(items) = items.map { |item| put(item) }

        def put(item)
          case item.element.kind
          when "message" then message(item.element)
          when "mark" then mark(item.element)
          else fragment(item)
          end
        end

        def message(one)
          from, to = one.endpoints.map { |id| @order.fetch(id, 0) }
          own = from == to && one["open"].nil?
          widen(gap(one), words(one) + (2 * AROUND) + (own ? LOOP : 0))
          widen(gap(one), STUB + AROUND) if one["open"]
          left, right = gap(one) < from && one["open"] ? [stub(one), 0] : [0, own ? words(one) + LOOP + AROUND : stub(one)]
          Reach.new(first: [from, to].min, last: [from, to].max, left:, right:)
        end

        def mark(one)
          from = one.endpoints.map { |id| @order.fetch(id, 0) }.min
          width = words(one) + 20 + (2 * AROUND)
          widen(from, width)
          Reach.new(first: from, last: from, left: 0, right: width - AROUND)
        end

        # Words of what nobody gets, or what comes to the first, may stand further out.
        def stub(one) = one["open"] ? [STUB, words(one) + (2 * AROUND)].max : 0

        def fragment(item)
          inner = item.branches.flat_map { |branch| walk(branch.items) }
          inner = [Reach.new(first: 0, last: [@heads.length - 1, 0].max, left: 0, right: 0)] if inner.empty?
          first, last = inner.map(&:first).min, inner.map(&:last).max
          left = inner.select { |one| one.first == first }.map(&:left).max
          right = inner.select { |one| one.last == last }.map(&:right).max
          frame(item, first, last, left, right)
        end

        def frame(item, first, last, left, right)
          guards = item.branches.map { |branch| words(branch.element) }.max || 0
          left = [SequenceFrame.tag_width(item.element) + LEFT, left + NESTED].max
          right = [RIGHT, right + NESTED, first == last ? guards + (2 * AROUND) : 0].max
          widen(first, guards + (2 * AROUND)) unless first == last
          widen(first - 1, left + AROUND)
          widen(last, right + AROUND)
          @frames[item.element.id] = [first, last, left, right]
          Reach.new(first:, last:, left:, right:)
        end
      end
    end
  end
end
