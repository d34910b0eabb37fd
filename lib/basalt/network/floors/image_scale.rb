# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # The scale of an image that lies beneath a plan, by two points of it and how far they are apart on the floor.
      class ImageScale
        # px; larger is no image of a floor.
        MOST = 120_000

        # @param box [Layout::Box] of the image on the sheet, px
        # @param points [Array<Array(Numeric, Numeric)>] two, px of the sheet
        # @param metres [Numeric] between them
        # @raise [Mistake]
        def initialize(box, points, metres)
          @box = box
          @points = points
          @metres = metres
          refuse
        end

        # @return [Hash] +x+, +y+, +w+ and +h+ of the image to scale, its first point where it was
        def placement
          x, y = @points.first
          { x: (x - ((x - @box.x) * factor)).round, y: (y - ((y - @box.y) * factor)).round, w: (@box.w * factor).round,
            h: (@box.h * factor).round }
        end

        private

        def apart = Math.hypot(*@points.transpose.map { |one, other| one - other })
        def factor = @metres * Notation::FloorGeometry::SCALE / apart

        def refuse
          raise Mistake, "A scale needs two points that are apart, and more than 0 m between them" unless @metres.positive? && apart >= 1

          sides = [@box.w, @box.h].map { |side| side * factor }
          raise Mistake, "#{@metres} m between these points would make the image larger than a floor" if sides.max > MOST
          raise Mistake, "#{@metres} m between these points would leave nothing of the image" if sides.min < 1
        end
      end
    end
  end
end
