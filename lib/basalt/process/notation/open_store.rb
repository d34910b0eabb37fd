# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # A store: two lines with its name between them, or a box that is open at one side with its number.
      class OpenStore
        HEIGHT = 38
        LEAST = 110
        MOST = 220
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param boxes [Boolean] as a box that is open at the right
        # @param repeated [Boolean] whether it stands on the sheet more than once, told by another line at its left (Gane and Sarson, 1979)
        def initialize(set, store, boxes: false, repeated: false)
          @repeated = repeated
          @store = store
          @boxes = boxes
          @number = boxes ? "D#{set.of_kind("store").index { |one| one.ordinal == store.ordinal }.to_i + 1}" : nil
        end

        def size = [(P.width(@store.name, :name) + 28 + (@boxes ? 40 : 0)).clamp(LEAST, MOST).ceil, HEIGHT]

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, :halo),
            *bar(box),
            S.path("M#{S.numbers(box.x, box.y)}h#{S.n box.w}M#{S.numbers(box.x, box.bottom)}h#{S.n box.w}", :inner),
            *number(box),
            S.text(box.cx + (@boxes ? 18 : 0), box.cy + 4, P.fit(@store.name, :name, box.w - (@boxes ? 52 : 16)), :name, :middle)
          ]
        end

        private

        def bar(box) = @repeated ? [S.path("M#{S.numbers(box.x + 5, box.y)}v#{S.n box.h}", :inner)] : []

        def number(box)
          return [] unless @boxes

          [
            S.path("M#{S.numbers(box.x, box.y)}v#{S.n box.h}M#{S.numbers(box.x + 34, box.y)}v#{S.n box.h}", :inner),
            S.text(box.x + 17, box.cy + 4, @number, :identifier, :middle)
          ]
        end
      end
    end
  end
end
