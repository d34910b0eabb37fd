# frozen_string_literal: true

require "diff/lcs"

module Basalt
  module Brief
    # Two versions of a text compared by lines: runs that are the same and what stands between
    # them. Lines that occur once in each version are what the comparison holds on to (the longest
    # sequence of them that is in the same order in both), so that its cost follows the length of the
    # text; only short stretches between them are compared line with line (Hunt and Szymanski, 1977).
    class LineBlocks
      # A stretch of so many pairs of lines at most is compared line with line.
      MOST_PAIRS = 250_000
      # +old+ and +new+ are ranges of lines.
      Block = Value.of(:same, :old, :new)

      # @param old [Array<String>]
      # @param new [Array<String>]
      def initialize(old, new)
        @old = old
        @new = new
      end

      # @return [Array<Block>] one after the other, the same and the different by turns
      def blocks
        pairs = matches(0...@old.length, 0...@new.length)
        found = []
        at = [0, 0]
        pairs
          .slice_when { |one, other| other != [one[0] + 1, one[1] + 1] }
          .each do |run|
            add(found, false, at[0]...run.first[0], at[1]...run.first[1])
            add(found, true, run.first[0]..run.last[0], run.first[1]..run.last[1])
            at = [run.last[0] + 1, run.last[1] + 1]
          end
        add(found, false, at[0]...@old.length, at[1]...@new.length)
        found
      end

      private

      def add(found, same, old, new)
        old, new = [old, new].map { |range| range.exclude_end? ? range : (range.begin...(range.end + 1)) }
        found << Block.new(same:, old:, new:) unless old.size.zero? && new.size.zero?
      end

      # @return [Array<Array(Integer, Integer)>] lines that are the same, in order in both
      def matches(old, new)
        head = common(old.size, new.size) { |n| @old[old.begin + n] == @new[new.begin + n] }
        tail = common(old.size - head, new.size - head) { |n| @old[old.end - 1 - n] == @new[new.end - 1 - n] }
        inner = between((old.begin + head)...(old.end - tail), (new.begin + head)...(new.end - tail))
        Array.new(head) { |n| [old.begin + n, new.begin + n] } + inner + Array.new(tail) { |n| [old.end - tail + n, new.end - tail + n] }
      end

      def common(one, other) = (0...[one, other].min).find { |n| !yield(n) } || [one, other].min

      def between(old, new)
        return [] if old.size.zero? || new.size.zero?

        held = in_order(once(@old, old), once(@new, new))
        return by_line(old, new) if held.empty?

        [[old.begin - 1, new.begin - 1], *held, [old.end, new.end]].each_cons(2)
          .flat_map do |(from, start), (to, ending)|
            inner = matches((from + 1)...to, (start + 1)...ending)
            to == old.end ? inner : inner << [to, ending]
          end
      end

      def by_line(old, new)
        return [] if old.size * new.size > MOST_PAIRS

        Diff::LCS
          .sdiff(@old[old], @new[new])
          .select { |change| change.action == "=" }
          .map { |change| [old.begin + change.old_position, new.begin + change.new_position] }
      end

      # @return [Hash{String => Integer}] where lines stand that occur just once
      def once(lines, range)
        places = range.each_with_object({}) { |n, found| found[lines[n]] = found.key?(lines[n]) ? nil : n }
        places.compact
      end

      # The longest sequence that rises in both (Fredman, 1975).
      def in_order(old, new)
        tails = []
        before = {}
        old
          .filter_map { |line, n| [n, new[line]] if new[line] }
          .each do |pair|
            at = tails.bsearch_index { |other| other[1] >= pair[1] } || tails.length
            before[pair] = at.zero? ? nil : tails[at - 1]
            tails[at] = pair
          end
        pair = tails.last
        found = []
        while pair
          found.unshift(pair)
          pair = before[pair]
        end
        found
      end
    end
  end
end
