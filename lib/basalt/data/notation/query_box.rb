# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # A view as a box with the beginning of its query.
      class QueryBox
        HEAD = 34
        ROW = 16
        WIDEST = 300
        LINES = 6
        S = Drawing::Shapes

        def initialize(view)
          @view = view
          @lines = Drawing::Pens.lines(view["query"], :identifier, WIDEST, most: LINES)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          wanted = [Drawing::Pens.width(@view.name, :name) + 24, *@lines.map { |line| Drawing::Pens.width(line, :identifier) + 24 }].max
          [wanted.clamp(ColumnRows::LEAST, WIDEST + 30).ceil, HEAD + (@lines.empty? ? 0 : 8 + (ROW * @lines.length))]
        end

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @view.assumed ? :assumed : :planned),
            S.text(box.x + 12, box.y + 21, Drawing::Pens.fit(@view.name, :name, box.w - 20), :name),
            *([S.path("M#{S.n box.x} #{S.n box.y + HEAD - 4}H#{S.n box.right}", :rule)] if @lines.any?),
            *@lines.each_with_index.map { |line, index| S.text(box.x + 12, box.y + HEAD + 12 + (index * ROW), line, :identifier) }
          ]
        end
      end
    end
  end
end
