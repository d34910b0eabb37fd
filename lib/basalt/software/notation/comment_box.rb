# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A comment as a sheet of paper whose corner is folded.
      class CommentBox
        WIDE = 190
        LINE = 16
        FOLD = 12
        MOST = 12
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(comment)
          @comment = comment
          @lines = P.lines(comment["body"] || comment.name, :verb, WIDE, most: MOST)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size = [(@lines.map { |line| P.width(line, :verb) }.push(60).max + 28).ceil, (LINE * [@lines.length, 1].max) + 16]

        # @return [Array] shapes
        def shapes(box)
          [
            S.path(outline(box), @comment.assumed ? :assumed : :outline),
            S.path("M#{S.numbers(box.right - FOLD, box.y)}v#{FOLD}h#{FOLD}", :rule),
            *@lines.each_with_index.map { |line, index| S.text(box.x + 10, box.y + 20 + (index * LINE), line, :verb) }
          ]
        end

        private

        def outline(box) =
          "M#{S.numbers(box.x, box.y)}H#{S.n box.right - FOLD}L#{S.numbers(box.right, box.y + FOLD)}V#{S.n box.bottom}H#{S.n box.x}Z"
      end
    end
  end
end
