# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # What stands in the middle, with the ovals of its attributes in columns at its sides;
      # the parts of an attribute stand further out.
      class Cluster
        SPACE = 26
        S = Drawing::Shapes
        # An oval with its place, and that of what it hangs on; +side+ is -1 or 1.
        Placed = Struct.new(:oval, :side, :depth, :row, :parent)

        # @param core [Array(Numeric, Numeric)] size of what is in the middle
        def initialize(set, owner, core, folded: false)
          @core = core
          @placed = folded ? [] : spread(set, Describing.of(set, owner.id))
        end

        def size = [@core[0] + left + right, [@core[1], rows * Oval::PITCH].max]

        # @return [Array(Numeric, Numeric)] of the middle's box, from the corner
        def offset = [left, (size[1] - @core[1]) / 2.0]

        # @return [Layout::Box] of the middle
        def middle(box) = Layout::Box.new(x: box.x + offset[0], y: box.y + offset[1], w: @core[0], h: @core[1])

        # @return [Array<Layout::Box>] the columns of ovals
        def columns(box)
          [[left, box.x], [right, box.right - right]].filter_map do |width, x|
            Layout::Box.new(x:, y: box.y, w: width - 8, h: box.h) if width.positive?
          end
        end

        # @return [Array<Array(Integer, Integer)>] in which lines may leave the middle
        def open_sides = [[0, -1], [0, 1]] + [[left, [-1, 0]], [right, [1, 0]]].filter_map { |width, side| side if width.zero? }

        # @return [Array] shapes of the ovals and what joins them
        def shapes(box)
          core = middle(box)
          lines = @placed.map { |placed| S.polyline([anchor(placed, core, box), inner_end(placed, box)], :line) }
          lines + @placed.flat_map { |placed| placed.oval.shapes(*centre(placed, box)) }
        end

        private

        def spread(set, attributes)
          half = (attributes.length / 2.0).ceil
          attributes.each_slice([half, 1].max).zip([-1, 1]).flat_map { |list, side| side ? column(set, list, side) : [] }
        end

        def column(set, attributes, side)
          row = 0
          attributes.flat_map do |attribute|
            whole = Placed.new(Oval.new(attribute), side, 0, row, nil)
            parts =
              Describing
                .of(set, attribute.id)
                .each_with_index
                .map { |part, index| Placed.new(Oval.new(part), side, 1, row + index, whole) }
            row += [parts.length, 1].max
            [whole, *parts]
          end
        end

        def rows = @placed.map { |placed| placed.row + 1 }.max || 0

        def widest(side, depth) =
          @placed.select { |placed| placed.side == side && placed.depth == depth }.map { |placed| placed.oval.width }.max

        def wing(side) = [0, 1].sum { |depth| widest(side, depth)&.+(SPACE) || 0 }
        def left = @left ||= wing(-1)
        def right = @right ||= wing(1)

        def centre(placed, box)
          core = middle(box)
          edge = placed.side.negative? ? core.x : core.right
          out = SPACE + (placed.depth.zero? ? 0 : widest(placed.side, 0) + SPACE) + (widest(placed.side, placed.depth) / 2.0)
          [edge + (placed.side * out), top(placed.side, box) + (placed.row * Oval::PITCH) + (Oval::HEIGHT / 2.0)]
        end

        # Each column stands about the middle.
        def top(side, box)
          count = @placed.select { |placed| placed.side == side }.map { |placed| placed.row + 1 }.max || 0
          box.cy - (((count * Oval::PITCH) - Oval::GAP) / 2.0)
        end

        def inner_end(placed, box) = centre(placed, box).then { |x, y| [x - (placed.side * placed.oval.width / 2.0), y] }

        def anchor(placed, core, box)
          return placed.side.negative? ? core.x : core.right, core.cy unless placed.parent

          centre(placed.parent, box).then { |x, y| [x + (placed.side * placed.parent.oval.width / 2.0), y] }
        end
      end
    end
  end
end
