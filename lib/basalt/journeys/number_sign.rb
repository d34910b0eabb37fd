# frozen_string_literal: true

module Basalt
  module Journeys
    # The number of a step on a ground whose shape and colour tell the journeys from each other: upright, round, pointed and cut at its
    # corners.
    module NumberSign
      S = Drawing::Shapes
      HEIGHT = 18
      PAD = 6
      PENS = %i[walk_a walk_b walk_c walk_d].freeze
      # How many look different from each other: so many shapes in so many colours.
      SHAPES = 4
      KINDS = SHAPES * SHAPES

      module_function

      # @return [Numeric] px
      def width(number) = [Drawing::Pens.width(number, :walk) + (2 * PAD), HEIGHT].max.ceil

      # @param place [Integer] of the journey among those that are shown
      # @param x [Numeric] of its middle
      # @param now [Boolean] whether it is the step that is spoken of
      # @return [Array] shapes
      def shapes(number, x, y, place, now: false)
        w = width(number)
        ground = ->(room, pen) {
          S.path(outline(place % SHAPES, x - (w / 2.0) - room, y - (HEIGHT / 2.0) - room, w + (2 * room), HEIGHT + (2 * room)), pen)
        }
        [ground.call(0, PENS[(place + (place / SHAPES)) % SHAPES]), *([ground.call(3, :walk_now)] if now),
         S.text(x, y + 4, number, :walk, :middle)]
      end

      # @return [String] path data
      def outline(shape, x, y, w, h)
        at = ->(*numbers) { S.numbers(*numbers) }
        case shape
        when 0 then "M#{at.(x, y)}h#{at.(w)}v#{at.(h)}h#{at.(-w)}Z"
        when 1
          r = h / 2.0
          "M#{at.(x + r, y)}h#{at.(w - h)}a#{at.(r, r)} 0 0 1 #{at.(0, h)}h#{at.(h - w)}a#{at.(r, r)} 0 0 1 #{at.(0, -h)}Z"
        when 2
          "M#{at.(x - 3, y + (h / 2.0))}l7 #{at.(-h / 2.0)}h#{at.(w - 8)}l7 #{at.(h / 2.0)}l-7 #{at.(h / 2.0)}h#{at.(8 - w)}Z"
        else "M#{at.(x + 5, y)}h#{at.(w - 10)}l5 5v#{at.(h - 10)}l-5 5h#{at.(10 - w)}l-5 -5v#{at.(10 - h)}Z"
        end
      end
    end
  end
end
