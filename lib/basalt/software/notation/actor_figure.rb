# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # An actor: a figure with the name beneath, a system as a box with its keyword (UML 2.5.1, 18.1.4), time as an hourglass.
      class ActorFigure
        FIGURE = 46
        HALF = 14
        LINE = 16
        MOST = 130
        BOX = 44
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(actor)
          @actor = actor
          @lines = P.lines(actor.name, :name, MOST, most: 3)
        end

        def boxed? = @actor["nature"] == "system"

        # @return [Array(Integer, Integer)] width and height, px
        def size
          widest = @lines.map { |line| P.width(line, :name) }.max || 0
          return [[widest + 28, 96].max.ceil, BOX + (LINE * [@lines.length - 1, 0].max)] if boxed?

          [[widest + 8, 2 * (HALF + 8)].max.ceil, FIGURE + 6 + (LINE * @lines.length)]
        end

        # @return [Array] shapes
        def shapes(box)
          return boxed(box) if boxed?

          [*(@actor["nature"] == "time" ? hourglass(box) : person(box)), *names(box, box.y + FIGURE + 16)]
        end

        # Lines come as near as the figure itself.
        #
        # @return [Array<Layout::Box>]
        def obstacles(box)
          return [box] if boxed?

          figure = Layout::Box.new(x: box.cx - HALF - 4, y: box.y, w: 2 * (HALF + 4), h: FIGURE)
          [figure, Layout::Box.new(x: box.x, y: box.y + FIGURE, w: box.w, h: box.h - FIGURE)]
        end

        private

        def pen = @actor.assumed ? :assumed : :outline

        def boxed(box)
          [S.rect(box.x, box.y, box.w, box.h, pen), S.text(box.cx, box.y + 16, "«actor»", :identifier, :middle), *names(box, box.y + 33)]
        end

        def names(box, y) = @lines.each_with_index.map { |line, index| S.text(box.cx, y + (index * LINE), line, :name, :middle) }

        def person(box)
          x, y = box.cx, box.y + 2
          limbs = [[[x, y + 16], [x, y + 30]], [[x - HALF, y + 20], [x + HALF, y + 20]], [[x - 10, y + 43], [x, y + 30], [x + 10, y + 43]]]
          [S.path("M#{S.numbers(x - 8, y + 8)}a8 8 0 1 0 16 0a8 8 0 1 0 -16 0Z", pen), *limbs.map { |points| S.polyline(points, :inner) }]
        end

        def hourglass(box)
          x, y = box.cx, box.y + 3
          corners = [[x - 12, y], [x + 12, y], [x - 12, y + 40], [x + 12, y + 40]]
          [S.path("#{S.data(corners)}Z", pen)]
        end
      end
    end
  end
end
