# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Tidies very many classes in a time that grows with their number: in each package what is a kind of what as trees, the rest in rows,
      # and lines by the plainest way. What stands in their way covers them.
      class OverviewLayout
        STUB = 14

        # @param lines [Array<Model::Element>]
        def initialize(notation, set, sheet_id, only, lines)
          @notation = notation
          @set = set
          @sheet_id = sheet_id
          @only = only
          @lines = lines
        end

        # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
        def placements
          boxes =
            Drawing::CompoundLayout
              .new(@notation, @set, @sheet_id, only: @only)
              .placements { |things, lines, sizes| group(things, lines, sizes) }
          boxes.merge(routes(boxes.transform_values { |to| Layout::Box.new(**to.slice(:x, :y, :w, :h)) }))
        end

        private

        def group(things, lines, given)
          sizes = things.to_h { |thing| [thing.id, given[thing.id] || @notation.size(@set, thing)] }
          pairs = lines.select { |line| LineLooks::TREES.include?(line.kind) }.map { |line| line.endpoints.reverse }
          joined = pairs.flatten.uniq
          trees, single = sizes.partition { |id, _| joined.include?(id) }.map(&:to_h)
          corners = packed([Layout::Tree.call(trees, pairs), rows(single)].reject(&:empty?), sizes)
          corners.to_h { |id, (x, y)| [id, { x: x.round, y: y.round, w: sizes[id][0], h: sizes[id][1] }] }
        end

        # The high ones beside each other.
        def rows(sizes) = Layout::Rows.call(sizes.sort_by { |_, (_, high)| -high }.to_h, [])

        def packed(blocks, sizes)
          return blocks.first || {} if blocks.length < 2

          corners = Layout::Packing.call(blocks.map { |found| found.to_h { |id, (x, y)| [id, box(x, y, sizes[id])] } })
          corners.transform_values { |x, y| [x, y] }
        end

        def box(x, y, (w, h)) = Layout::Box.new(x:, y:, w:, h:)

        def routes(boxes)
          @lines.reject { |line| line.endpoints.uniq.one? }.filter_map do |line|
            one, other = boxes.values_at(*line.endpoints)
            [line.id, { route: { "points" => plainest(one, other) } }] if one && other
          end.to_h
        end

        # From side to side, as the two stand to each other.
        def plainest(one, other)
          points = sides(one, other).filter_map { |from, to| Layout::Elbows.between(from, to, STUB).first }.first
          points || [[one.cx.round, one.cy.round], [other.cx.round, one.cy.round], [other.cx.round, other.cy.round]]
        end

        def sides(one, other)
          upright = one.bottom <= other.y ? [below(one), above(other)] : [above(one), below(other)]
          level = one.right <= other.x ? [right(one), left(other)] : [left(one), right(other)]
          one.bottom <= other.y || other.bottom <= one.y ? [upright, level] : [level, upright]
        end

        def above(box) = [[box.cx.round, box.y], [0, -1]]
        def below(box) = [[box.cx.round, box.bottom], [0, 1]]
        def left(box) = [[box.x, box.cy.round], [-1, 0]]
        def right(box) = [[box.right, box.cy.round], [1, 0]]
      end
    end
  end
end
