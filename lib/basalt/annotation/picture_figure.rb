# frozen_string_literal: true

module Basalt
  module Annotation
    # An image in a box of its own proportions.
    class PictureFigure < Drawing::Figure
      SIDE = 160

      def size(_thing) = [SIDE, SIDE]

      def shapes(thing, placement)
        box = placement.box
        [Drawing::Shapes.image(thing["image"], box), Drawing::Shapes.rect(box.x, box.y, box.w, box.h, :grip)]
      end
    end
  end
end
