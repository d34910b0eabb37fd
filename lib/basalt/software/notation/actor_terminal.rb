# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Where a line can end at an actor: at both sides of the figure, above it and beneath its name.
      class ActorTerminal < Layout::BoxTerminal
        def initialize(box, boxed: false)
          super(box)
          @boxed = boxed
        end

        def middle = [box.cx, height]

        def attachment_points(toward)
          return super if @boxed

          left, right = box.cx - ActorFigure::HALF - 4, box.cx + ActorFigure::HALF + 4
          heights = [height, height - 9, height + 9]
          heights.flat_map { |y| [[[left.round, y.round], [-1, 0]], [[right.round, y.round], [1, 0]]] } +
            [[[box.cx.round, box.y], [0, -1]], [[box.cx.round, box.bottom], [0, 1]]]
        end

        private

        def height = @boxed ? box.cy : box.y + 22
      end
    end
  end
end
