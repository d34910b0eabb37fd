# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # The oval of an attribute: doubled for many, dashed for derived; the name is underlined
      # for a key, with dashes for a partial key (Chen, 1976; Elmasri and Navathe).
      class Oval
        HEIGHT = 26
        GAP = 8
        PITCH = HEIGHT + GAP
        MOST = 150
        S = Drawing::Shapes

        def initialize(attribute)
          @attribute = attribute
          @text = Drawing::Pens.fit(attribute["kept"] ? "#{attribute.name} (over time)" : attribute.name, :member, MOST)
        end

        def width = (text_width + 30).ceil

        # @return [Array] shapes around a middle
        def shapes(x, y)
          [
            ellipse(x, y, 0, @attribute["derived"] ? :planned : :outline),
            *([ellipse(x, y, 3, :inner)] if @attribute["many"]),
            S.text(x, y + 4, @text, :member, :middle),
            *underline(x, y)
          ]
        end

        private

        def text_width = Drawing::Pens.width(@text, :member)

        def ellipse(x, y, within, pen)
          rx = (width / 2.0) - within
          ry = (HEIGHT / 2.0) - within
          S.path(
            "M#{S.numbers(x - rx,
                          y)}A#{S.numbers(rx, ry)} 0 1 0 #{S.numbers(x + rx, y)}A#{S.numbers(rx, ry)} 0 1 0 #{S.numbers(x - rx, y)}Z",
            pen
          )
        end

        def underline(x, y)
          return [] unless @attribute["key"] || @attribute["partial"]

          half = text_width / 2.0
          [S.polyline([[x - half, y + 7], [x + half, y + 7]], @attribute["key"] ? :line : :planned_line)]
        end
      end
    end
  end
end
