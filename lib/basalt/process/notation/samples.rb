# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # The symbols of data-flow diagrams as the legend shows them.
      module Samples
        WIDE = 34
        S = Drawing::Shapes

        module_function

        def circle = ->(x, y) { [S.path("M#{S.numbers(x + 9, y)}a8 8 0 1 0 16 0a8 8 0 1 0 -16 0Z", :outline)] }

        def rounded
          lambda do |x, y|
            [
              S.path("M#{S.numbers(x + 8, y - 8)}h18q4 0 4 4v8q0 4 -4 4h-18q-4 0 -4 -4v-8q0 -4 4 -4Z", :outline),
              S.path("M#{S.numbers(x + 4, y - 3)}h26", :rule)
            ]
          end
        end

        # @param behind [Boolean] with an edge as if it had a second one behind it
        def square(behind) =
          ->(x, y) do
            [
              S.rect(x + 5, y - 8, 24, 16, :outline),
              *([S.path("M#{S.numbers(x + 8, y + 8)}V#{S.n y - 5}H#{S.n x + 29}", :inner)] if behind)
            ]
          end

        def system = ->(x, y) { [S.rect(x + 5, y - 8, 24, 16, :outline), S.rect(x + 8, y - 5, 18, 10, :inner)] }
        def store = ->(x, y) { [S.path("M#{S.numbers(x + 2, y - 6)}h30M#{S.numbers(x + 2, y + 6)}h30", :inner)] }
        def square_again = ->(x, y) { [S.rect(x + 5, y - 8, 24, 16, :outline), *Square.corner(x + 29, y + 8, 8)] }
        def store_again = ->(x, y) { [*store.call(x, y), S.path("M#{S.numbers(x + 5, y - 6)}v12", :inner)] }
        def open_box = ->(x, y) { [S.path("M#{S.numbers(x + 32, y - 7)}h-30v14h30M#{S.numbers(x + 12, y - 7)}v14", :inner)] }
        def arrow(pen) = ->(x, y) { [S.polyline([[x, y], [x + WIDE, y]], pen), *Drawing::LineEnds::Arrow.shape([[x, y], [x + WIDE, y]])] }
      end
    end
  end
end
