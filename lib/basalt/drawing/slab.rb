# frozen_string_literal: true

module Basalt
  module Drawing
    # The house symbol of a thing: a slab with one corner cut, a seam in the colour of its
    # role, a glyph, a name and a line beneath it.
    module Slab
      HEIGHT = 46
      LEAST = 116
      MOST = 260
      TEXT_AT = 44
      CUT = 8

      module_function

      # @return [Float] width in px
      def width(name, line)
        [LEAST, [TEXT_AT + 14 + [Pens.width(name, :name), Pens.width(line, :identifier)].max, MOST].min].max.ceil
      end

      # @param box [Layout::Box]
      # @param pen [Symbol] of the outline
      # @return [Array] shapes
      def shapes(box, name:, line:, glyph:, seam:, pen: :outline)
        room = box.w - TEXT_AT - 10
        left, bottom, cut = Shapes.n(box.x), Shapes.n(box.bottom), Shapes.n(box.y + CUT)
        [
          Shapes.path("M#{Shapes.n box.x + CUT} #{Shapes.n box.y}H#{Shapes.n box.right}V#{bottom}H#{left}V#{cut}Z", pen),
          Shapes.fill(
            "M#{left} #{cut}L#{Shapes.n box.x + 4.5} #{Shapes.n box.y + CUT - 4.5}V#{bottom}H#{left}Z",
            Pens::SEAMS.fetch(seam)
          ),
          Shapes.glyph(glyph, box.x + 12, box.y + ((box.h - 24) / 2.0)),
          Shapes.text(box.x + TEXT_AT, box.y + 20, Pens.fit(name, :name, room), :name),
          Shapes.text(box.x + TEXT_AT, box.y + 35, Pens.fit(line, :identifier, room), :identifier)
        ]
      end
    end
  end
end
