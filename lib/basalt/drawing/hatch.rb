# frozen_string_literal: true

module Basalt
  module Drawing
    # Thin lines over a box that tell an emphasis: each has a direction or distance of its own.
    module Hatch
      # Slopes (x for each y; nil for level lines) and distances of the lines, px.
      STYLES = [[1, 9], [-1, 9], [nil, 7], [0, 9], [1, 16], [-1, 16]].freeze

      module_function

      # @param number [Integer] which emphasis of the sheet
      # @return [Array] shapes
      def shapes(box, number)
        slope, step = STYLES[number % STYLES.length]
        data = (slope.nil? ? level(box, step) : sloped(box, slope, step)).map { |one, other| Shapes.data([one, other]) }.join
        [Shapes.path(data, :hatch), Shapes.rect(box.x - 4, box.y - 4, box.w + 8, box.h + 8, :emphasis)]
      end

      def level(box, step) = (step...box.h).step(step).map { |y| [[box.x, box.y + y], [box.right, box.y + y]] }

      # Lines that lean, cut off at the box.
      def sloped(box, slope, step)
        reach = box.h * slope.abs
        (-reach..(box.w + reach)).step(step).filter_map do |from|
          ends = [[from, 0], [from + (box.h * slope), box.h]].sort
          cut(ends, box.w)&.map { |x, y| [box.x + x, box.y + y] }
        end
      end

      def cut(ends, width)
        (x1, y1), (x2, y2) = ends
        return x1.between?(0.1, width - 0.1) ? ends : nil if x1 == x2
        return if x2 <= 0 || x1 >= width

        at = ->(x) { [x, y1 + ((y2 - y1) * (x - x1) / (x2 - x1).to_f)] }
        [at.call([x1, 0].max), at.call([x2, width].min)]
      end
    end
  end
end
