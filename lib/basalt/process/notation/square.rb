# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # Somebody or something outside, as a square; a system in the middle with a second outline.
      class Square
        LEAST = 96
        MOST = 180
        HEIGHT = 58
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param boxes [Boolean] with an edge as if it had a second one behind it
        # @param middle [Boolean] whether the sheet is about it
        # @param repeated [Boolean] whether it stands there more than once, told by a line across a corner (Gane and Sarson, 1979)
        def initialize(_set, thing, boxes: false, middle: false, repeated: false)
          @repeated = repeated
          @thing = thing
          @boxes = boxes
          @middle = middle
          @lines = P.lines(thing.name, :name, MOST - 24, most: 2)
          @below = thing["nature"] || (thing.kind == "system" ? "system" : nil)
        end

        def size =
          [
            @lines
              .map { |line| P.width(line, :name) + 28 }
              .push(@below ? P.width(@below, :identifier) + 28 : 0)
              .max
              .clamp(LEAST, MOST)
              .ceil,
            HEIGHT + (16 * (@lines.length - 1))
          ]

        # @return [Array] shapes
        def shapes(box)
          [S.rect(box.x, box.y, box.w, box.h, @thing.assumed ? :assumed : :outline), *edge(box), *corner(box), *texts(box)]
        end

        # The sign of what stands on a sheet more than once.
        #
        # @return [Array] shapes
        def self.corner(right, bottom, side) = [S.path("M#{S.numbers(right - side, bottom)}L#{S.numbers(right, bottom - side)}", :inner)]

        private

        def corner(box) = @repeated ? self.class.corner(box.right, box.bottom, 14) : []

        def edge(box)
          return [S.rect(box.x + 4, box.y + 4, box.w - 8, box.h - 8, :inner)] if @middle
          return [] unless @boxes

          [S.path("M#{S.numbers(box.x + 4, box.bottom)}V#{S.n box.y + 4}H#{S.n box.right}", :inner)]
        end

        def texts(box)
          lines = @lines.map { |line| [line, :name] } + (@below ? [[@below, :identifier]] : [])
          top = box.cy - ((lines.length - 1) * 8) + 4
          lines.each_with_index.map { |(text, style), index| S.text(box.cx, top + (index * 16), text, style, :middle) }
        end
      end
    end
  end
end
