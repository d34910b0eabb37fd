# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # A process as a rounded box: its number in the head, its name, and who does it at the foot.
      class Rounded < ProcessSymbol
        WIDTH = 132
        HEAD = 20
        LINE = 16
        CORNER = 10

        # (see ProcessSymbol#initialize)
        def initialize(set, process, sheet: nil)
          super
          @lines = P.lines(process.name, :name, WIDTH - 20, most: 3)
        end

        def size = [WIDTH, HEAD + 14 + (LINE * @lines.length) + HEAD]

        # @return [Array] shapes
        def shapes(box)
          [
            S.path(round(box), outline),
            S.path("M#{S.numbers(box.x, box.y + HEAD)}h#{S.n box.w}", :rule),
            S.text(box.cx, box.y + 14, @number || "–", :identifier, :middle),
            *name(box),
            *foot(box)
          ]
        end

        private

        def round(box)
          c = CORNER
          "M#{S.numbers(box.x + c,
                        box.y)}H#{S.n box.right - c}q#{c} 0 #{c} #{c}V#{S.n box.bottom - c}q0 #{c} -#{c} #{c}H#{S.n box.x + c}q-" \
"#{c} 0 -#{c} -#{c}V#{S.n box.y + c}q0 -#{c} #{c} -#{c}Z"
        end

        def name(box) =
          @lines.each_with_index.map { |line, index| S.text(box.cx, box.y + HEAD + 19 + (index * LINE), line, :name, :middle) }

        def foot(box)
          return [] unless @performer

          [
            S.path("M#{S.numbers(box.x, box.bottom - HEAD)}h#{S.n box.w}", :rule),
            S.text(box.cx, box.bottom - 6, P.fit(@performer, :identifier, WIDTH - 16), :identifier, :middle)
          ]
        end
      end
    end
  end
end
