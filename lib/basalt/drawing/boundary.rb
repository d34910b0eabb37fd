# frozen_string_literal: true

module Basalt
  module Drawing
    # A boundary: a plain box behind what it contains, with its name at the top left.
    module Boundary
      PAD = 24
      HEAD = 40
      LABEL = 22

      module_function

      # @param boxes [Array<Layout::Box>] of what is inside
      # @return [Layout::Box]
      def around(boxes, label_width)
        inner = Layout::Box.around(boxes)
        w = [inner.w + (2 * PAD), label_width + (2 * PAD)].max
        Layout::Box.new(x: (inner.x - PAD).round, y: (inner.y - HEAD).round, w: w.ceil, h: (inner.h + HEAD + PAD).ceil)
      end

      def label_width(thing) = (Pens.width(Pens.fit(thing.name, :name, 240), :name) + 10 + Pens.width(thing.noun, :identifier)).ceil

      def shapes(thing, box)
        name = Pens.fit(thing.name, :name, [box.w - 80, 60].max)
        [Shapes.rect(box.x, box.y, box.w, box.h, thing.assumed ? :assumed_boundary : :boundary),
         Shapes.text(box.x + 12, box.y + 20, name, :name),
         Shapes.text(box.x + 20 + Pens.width(name, :name), box.y + 20, thing.noun, :identifier)]
      end

      # Lines cross a boundary, but not its name.
      #
      # @param words [Numeric] how wide that is, px
      def obstacles(words, box) = [Layout::Box.new(x: box.x + 6, y: box.y + 4, w: [words + 16, box.w - 12].min, h: LABEL)]
    end
  end
end
