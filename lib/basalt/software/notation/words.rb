# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Words at a line in as many lines as they take, on paper.
      class Words
        LINE = SequenceRows::LINE
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param lines [Array<String>]
        # @param folded [Boolean] whether they stand on a sheet with a folded corner, as comments do (UML 2.5.1, 7.2.4)
        def initialize(lines, folded: false)
          @lines = lines
          @folded = folded
        end

        def width = (@lines.map { |line| P.width(line, :verb) }.max || 0) + (@folded ? 20 : 6)
        def height = (LINE * @lines.length) + (@folded ? 10 : 0)

        # @return [Array] shapes around a middle
        def shapes(x, y)
          left, top = x - (width / 2), y - (height / 2)
          [*(@folded ? sheet(left, top) : [S.rect(left, top, width, height, :halo)]), *texts(left, top)]
        end

        private

        def sheet(left, top)
          fold = 8
          outline = "M#{S.numbers(left, top)}h#{S.n width - fold}l#{fold} #{fold}v#{S.n height - fold}h#{S.n(-width)}Z"
          [S.path(outline, :plain), S.path("M#{S.numbers(left + width - fold, top)}v#{fold}h#{fold}", :rule)]
        end

        def texts(left, top)
          start = @folded ? 8 : 3
          @lines.each_with_index.map { |line, index| S.text(left + start, top + (@folded ? 5 : 0) + 11.5 + (index * LINE), line, :verb) }
        end
      end
    end
  end
end
