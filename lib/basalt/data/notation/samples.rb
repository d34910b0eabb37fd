# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # The symbols of data models as the legend shows them.
      module Samples
        WIDE = 34
        S = Drawing::Shapes
        ENDS = [
          ["exactly one", 1, 1],
          ["zero or one", 0, 1],
          ["one or more", 1, Float::INFINITY],
          ["zero or more", 0, Float::INFINITY],
          ["many, at least not decided", nil, Float::INFINITY],
          ["how many not decided", nil, nil]
        ].freeze

        module_function

        # A line with the signs of a cardinality at its right end.
        def ending(least, most)
          ->(x, y) do
            [
              S.polyline([[x, y], [x + WIDE, y]], :line),
              *Drawing::LineEnds::CrowsFoot.shapes([[x + WIDE, y], [x, y]], Cardinality.new(least:, most:))
            ]
          end
        end

        def kind
          triangle = Drawing::LineEnds::Triangle
          ->(x, y) { [S.polyline([[x + triangle::LONG, y], [x + WIDE, y]], :line), triangle.path([[x, y], [x + WIDE, y]])] }
        end

        def double_box = ->(x, y) { [S.rect(x + 3, y - 8, WIDE - 6, 16, :outline), S.rect(x + 6, y - 5, WIDE - 12, 10, :inner)] }
        def double_line = ->(x, y) { [-1.5, 1.5].map { |side| S.polyline([[x, y + side], [x + WIDE, y + side]], :line) } }

        def oval(pen) =
          ->(x, y) { [S.path("M#{S.numbers(x + 2, y)}A15 7 0 1 0 #{S.numbers(x + 32, y)}A15 7 0 1 0 #{S.numbers(x + 2, y)}Z", pen)] }

        def lozenge =
          ->(x, y) do
            [S.path("M#{S.numbers(x + 2, y)}L#{S.numbers(x + 17, y - 8)}L#{S.numbers(x + 32, y)}L#{S.numbers(x + 17, y + 8)}Z", :outline)]
          end
      end
    end
  end
end
