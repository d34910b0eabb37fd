# frozen_string_literal: true

module Basalt
  module Drawing
    # A text that stands at a line: at the end with that role, or in the +middle+. A +figure+
    # draws it in a shape of its own: it answers +width+, +height+ and +shapes+ around a middle. +out+ is how far the sign reaches that
    # the line has at that end, px.
    Label =
      Value.of(:role, :text, :figure, style: :label, out: 0) do
        self::HEIGHT = 16

        def width = figure ? figure.width : Pens.width(text, style) + 8
        def height = figure ? figure.height : Label::HEIGHT

        # @return [Array] shapes
        def shapes(x, y, wrong: false)
          return figure.shapes(x, y) if figure

          w = width
          h = height
          [
            Shapes.rect(x - (w / 2.0), y - (h / 2.0), w, h, :halo),
            Shapes.text(x, y + 4, text, wrong && style == :label ? :wrong : style, :middle)
          ]
        end
      end
  end
end
