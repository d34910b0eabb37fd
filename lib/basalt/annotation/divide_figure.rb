# frozen_string_literal: true

module Basalt
  module Annotation
    # A line across the sheet with a label at each side of it.
    class DivideFigure < Drawing::Figure
      LENGTH = 260
      GAP = 10

      def size(thing) = thing["level"] ? [LENGTH, 1] : [1, LENGTH]

      def shapes(thing, placement)
        box = placement.box
        points = thing["level"] ? [[box.x, box.y], [box.right, box.y]] : [[box.x, box.y], [box.x, box.bottom]]
        [Drawing::Shapes.polyline(points, :divide), Drawing::Shapes.polyline(points, :grip), *labels(thing, box)]
      end

      # Lines may cross it; its labels are kept clear.
      def obstacles(thing, placement)
        sides(thing).map { |text, side| label_box(thing, placement, text, side) }
      end

      def sized(thing, _placement, width, height) = thing["level"] ? { w: [width, 40].max, h: 1 } : { w: 1, h: [height, 40].max }

      private

      def sides(thing) = [[thing["before"], :before], [thing["beyond"], :beyond]].select(&:first)

      def labels(thing, box)
        sides(thing).map do |text, side|
          next Drawing::Shapes.text(box.x, box.y + (side == :before ? -GAP : GAP + 10), text, :heading) if thing["level"]

          if side == :before
            Drawing::Shapes.text(box.x - GAP, box.y + 12, text, :heading, :end)
          else
            Drawing::Shapes.text(box.x + GAP, box.y + 12, text, :heading)
          end
        end
      end

      def label_box(thing, placement, text, side)
        width = Drawing::Pens.width(text, :heading)
        return Layout::Box.new(x: placement.x, y: placement.y + (side == :before ? -24 : 4), w: width, h: 18) if thing["level"]

        Layout::Box.new(x: side == :before ? placement.x - GAP - width : placement.x + GAP, y: placement.y, w: width, h: 18)
      end
    end
  end
end
