# frozen_string_literal: true

module Basalt
  module Cloud
    module Notation
      # What speaks to others above those that it speaks to, so that a request is read downwards.
      class DirectedLayout < Drawing::LayeredLayout
        private

        # Where to begin is said by the lines.
        def tries(part) = super.map { |_, widest| [nil, widest] }.uniq

        # Each as deep as the longest way to it; lines that would close a ring are left aside.
        def levels(part, _root)
          inner = part.to_set(&:id)
          ahead = lines_of(part).reject { |line| line.endpoints.uniq.one? }.map { |line| line.endpoints.first(2) }.uniq.group_by(&:first)
          order = ordered(part, ahead, inner)
          order.each_with_object(order.to_h { |id| [id, 0] }) do |id, depths|
            kept(ahead, id).each { |to| depths[to] = [depths[to], depths[id] + 1].max }
          end
        end

        # @return [Array<String>] ids so that, as far as can be, who speaks comes before who is spoken to (depth first, from those to whom
        #   fewest speak)
        def ordered(part, ahead, inner)
          spoken_to = ahead.values.flatten(1).map(&:last).tally
          left, seen = [], Set.new
          part.sort_by { |thing| [spoken_to.fetch(thing.id, 0), thing.ordinal] }.each { |thing| visit(thing.id, ahead, inner, seen, left) }
          @places = left.reverse.each_with_index.to_h
          left.reverse
        end

        # Without recursion: chains may be as long as there are things.
        def visit(start, ahead, inner, seen, left)
          return unless seen.add?(start)

          stack = [[start, next_ones(start, ahead, inner)]]
          until stack.empty?
            to = stack.last.last.shift
            next left << stack.pop.first if to.nil?

            stack << [to, next_ones(to, ahead, inner)] if seen.add?(to)
          end
        end

        def next_ones(id, ahead, inner) = ahead.fetch(id, []).map(&:last).select { |to| inner.include?(to) }
        def kept(ahead, id) = ahead.fetch(id, []).map(&:last).select { |to| @places.fetch(to, -1) > @places[id] }
      end
    end
  end
end
