# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A use case: an ellipse as large as its words need, with its extension points beneath a line (UML 2.5.1, 18.1.4).
      class UseCaseOval
        LINE = 16
        WIDEST = 150
        LEAST = [110, 46].freeze
        # What of the width an ellipse leaves to the words in it.
        ROOM = 1.36
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(use_case)
          @use_case = use_case
          @lines = P.lines(use_case.name, :name, WIDEST, most: 4)
          @points = use_case["points"].to_s.split(/\s*[,;]\s*/).reject(&:empty?)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          widest = [*@lines.map { |line| P.width(line, :name) }, *@points.map { |point| P.width(point, :identifier) }].max || 0
          below = @points.any? ? 22 + (14 * @points.length) : 0
          [[(widest * ROOM) + 20, LEAST[0]].max.ceil, [(LINE * @lines.length) + 30 + (below * 1.3), LEAST[1]].max.ceil]
        end

        # @return [Array] shapes
        def shapes(box)
          [S.path(self.class.ellipse(box), @use_case.assumed ? :assumed : :outline), *words(box)]
        end

        # @return [String] path data
        def self.ellipse(box)
          rx, ry = box.w / 2.0, box.h / 2.0
          half = "a#{S.numbers(rx, ry)} 0 1 0"
          "M#{S.numbers(box.x, box.cy)}#{half} #{S.numbers(box.w, 0)}#{half} #{S.numbers(-box.w, 0)}Z"
        end

        private

        def words(box)
          all = (LINE * @lines.length) + (@points.any? ? 22 + (14 * @points.length) : 0)
          top = box.cy - (all / 2.0) + 12
          named = @lines.each_with_index.map { |line, index| S.text(box.cx, top + (index * LINE), line, :name, :middle) }
          named + points(box, top + (LINE * @lines.length) - 4)
        end

        def points(box, y)
          return [] if @points.empty?

          half = box.w * 0.42
          [
            S.path("M#{S.numbers(box.cx - half, y)}h#{S.n(2 * half)}", :rule),
            S.text(box.cx, y + 13, "extension points", :caption, :middle),
            *@points.each_with_index.map { |point, index| S.text(box.cx, y + 27 + (index * 14), point, :identifier, :middle) }
          ]
        end
      end
    end
  end
end
