# frozen_string_literal: true

module Basalt
  module Cloud
    module Notation
      # What speaks to others above those that it speaks to, or to the left of them: a request is read in one direction. Of the two ways
      # the one is taken that suits the paper.
      class DirectedLayout < Drawing::LayeredLayout
        # Between two that stand above each other where requests go to the right, and between what stands to the left and to the right:
        # words stand there, px.
        ABOVE = 30
        ASIDE = 62
        WORDS = 20

        private

        # Where to begin is said by the lines.
        def tries(part) = super.map(&:last).uniq.product(%i[down across]).map { |widest, way| [way, widest] }

        def laid(part, way, widest) = way == :across ? across(part, widest) : super

        # Levels from left to right: laid out from above to below, with everything turned.
        def across(part, widest)
          levels = levels(part, nil)
          nodes = part.map { |thing| size(thing).then { |w, h| Layout::Node.box(thing.id, h, w, levels.fetch(thing.id)) } }
          turned = edges(part).map { |edge| edge.with(middle: WORDS, lane: edge.lane&.reverse) }
          plan = plan(nodes, turned, gap: ABOVE, widest:, strip: ASIDE)
          boxes =
            part.to_h do |thing|
              w, h = size(thing)
              y, x = plan.corners.fetch(thing.id)
              [thing.id, { x:, y:, w:, h: }]
            end
          boxes.merge(plan.routes.transform_values { |points| { route: { "points" => points.map(&:reverse) } } })
        end

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
