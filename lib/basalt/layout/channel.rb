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
        @taken = []
        @placed = { right: [], left: [], below: [], above: [] }
        waiting = sorted
        above = constraints
        assigned = {}
        until waiting.empty?
          run = waiting.delete_at(waiting.index { |candidate| above[candidate.id].all? { |id| assigned.key?(id) } } || 0)
          lowest = [above[run.id].filter_map { |id| assigned[id] }.max, beneath(run)].compact.max
          assigned[run.id] = place(run, lowest ? lowest + 1 : 0)
        end
        assigned
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

      # The lowest track of those to the same side that this one has to lie beneath.
      def beneath(run)
        low, high = run.span
        @placed[direction(run)].filter_map { |a, b, track| track if low < b + CLEAR && a < high + CLEAR }.max
      end

      def place(run, from)
        low, high = run.span
        track = (from..).find { |index| (@taken[index] ||= []).none? { |a, b| low < b + CLEAR && a < high + CLEAR } }
        @taken[track] << [low, high]
        @placed[direction(run)] << [low, high, track]
        track
      end

      # For each run, the runs that must lie above it.
      def constraints
        uppers = @runs.flat_map { |run| run.upper.map { |x| [x, run.id] } }.sort_by(&:first)
        @runs.to_h do |run|
          ids = run.lower.flat_map { |x| near(uppers, x) }.uniq
          [run.id, ids - [run.id]]
        end
      end

      def near(uppers, x)
        start = uppers.bsearch_index { |other, _| other > x - CLEAR } || uppers.length
        uppers[start..].take_while { |other, _| other < x + CLEAR }.map(&:last)
      end
    end
  end
end
