# frozen_string_literal: true

module Basalt
  module Annotation
    # A free text, broken into lines as wide as it is given room for.
    class CaptionFigure < Drawing::Figure
      WIDTH = 220
      LINE = 17
      PAD = 10

      def size(thing)
        lines = lines(thing, WIDTH)
        [[lines.map { |line| Drawing::Pens.width(line, :member) }.max + (2 * PAD), 60].max.ceil, height(lines)]
      end

      def shapes(thing, placement)
        box = placement.box
        [
          Drawing::Shapes.rect(box.x, box.y, box.w, box.h, :grip),
          Drawing::Shapes.path("M#{Drawing::Shapes.n box.x} #{Drawing::Shapes.n box.y}V#{Drawing::Shapes.n box.bottom}", :rule)
        ] +
          lines(thing, box.w - (2 * PAD)).each_with_index.map do |line, index|
            Drawing::Shapes.text(box.x + PAD, box.y + 15 + (index * LINE), line, :member)
          end
      end

      def sized(thing, _placement, width, _height)
        width = [width, 60].max
        { w: width, h: height(lines(thing, width - (2 * PAD))) }
      end

      private

      def words(thing) = (thing["text"] || thing.name).split
      def height(lines) = (lines.length * LINE) + 6

      def lines(thing, width)
        words(thing)
          .each_with_object([+""]) do |word, lines|
            longer = lines.last.empty? ? word : "#{lines.last} #{word}"
            lines.last.empty? || Drawing::Pens.width(longer, :member) <= width ? lines[-1] = longer : lines << word
          end
          .map { |line| Drawing::Pens.fit(line, :member, [width, 20].max) }
      end
    end
  end
end
