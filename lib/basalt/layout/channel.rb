# frozen_string_literal: true

module Basalt
  module Layout
    # The strip between two levels, in which lines change from the x where they leave the level
    # above to the x where they meet the level below. Each sideways run gets a track; a run is
    # kept above another where their uprights would otherwise lie on each other.
    class Channel
      # +upper+ and +lower+ are the x of the uprights; a line between two things below has
      # two in +lower+ and none in +upper+, one between two above the other way round.
      Run = Value.of(:id, :upper, :lower) do
        def span = (upper + lower).minmax
        def straight? = span[0] == span[1]
      end

      TRACK = 12
      CLEAR = 5

      # @param runs [Array<Run>]
      def initialize(runs)
        @runs = runs.reject(&:straight?)
      end

      # @return [Hash{Object => Integer}] track of each run that is not straight, 0 being the highest
      def tracks
        @tracks ||= assign
      end

      def count = (tracks.values.max || -1) + 1
      def height = count.zero? ? 0 : (count - 1) * TRACK

      private

      def assign
        order = sorted
        above = constraints(order)
        taken = Tracks.new(CLEAR)
        heights = Hash.new { |table, direction| table[direction] = Skyline.new(order.flat_map { |run| reach(run) }) }
        tracks = []
        in_turn(above) do |index|
          run = order[index]
          same = heights[direction(run)]
          lowest = [*tracks.values_at(*above[index]).compact, same.highest(*reach(run))].max
          tracks[index] = taken.take(*run.span, lowest + 1)
          same.raise(*reach(run), tracks[index])
        end
        order.each_with_index.to_h { |run, index| [run.id, tracks[index]] }
      end

      # With what it keeps clear.
      def reach(run) = run.span.then { |low, high| [low - (CLEAR / 2.0), high + (CLEAR / 2.0)] }

      # Each when those that must lie above it had their turn, in their order; where some wait for each other, the first.
      #
      # @param above [Array<Array<Integer>>]
      # @yieldparam index [Integer]
      def in_turn(above)
        beneath = Array.new(above.length) { [] }
        above.each_with_index { |others, index| others.each { |other| beneath[other] << index } }
        open = above.map(&:length)
        ready = Heap.new
        open.each_with_index { |count, index| ready.push(index, index) if count.zero? }
        waiting = open.each_index.to_a
        done = []
        above.length.times do
          index = ready.pop || waiting.shift
          index = waiting.shift while done[index]
          done[index] = true
          yield index
          beneath[index].each { |other| ready.push(other, other) if (open[other] -= 1).zero? && !done[other] }
        end
      end

      def direction(run)
        return :below if run.upper.empty?
        return :above if run.lower.empty?

        run.lower.first > run.upper.first ? :right : :left
      end

      # Runs to one side do not cross each other when the one that begins further to that side
      # lies higher; of those between two things below, the wider; of those between two above, the narrower.
      def sorted
        @runs.sort_by do |run|
          case direction(run)
          when :right then [0, -run.upper.first, run.lower.first]
          when :left then [0, run.upper.first, -run.lower.first]
          when :above then [-1, run.span[1] - run.span[0], run.span[0]]
          else [1, run.span[0] - run.span[1], run.span[0]]
          end
        end
      end

      # For each run, the runs that must lie above it, all by their places in the order.
      def constraints(order)
        uppers = order.each_with_index.flat_map { |run, index| run.upper.map { |x| [x, index] } }.sort_by(&:first)
        order.each_with_index.map { |run, index| run.lower.flat_map { |x| near(uppers, x) }.uniq - [index] }
      end

      def near(uppers, x)
        start = uppers.bsearch_index { |other, _| other > x - CLEAR } || uppers.length
        uppers[start..].take_while { |other, _| other < x + CLEAR }.map(&:last)
      end
    end
  end
end
