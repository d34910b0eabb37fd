# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # One rack drawn from the front and from the rear: a head with its name and its sums, the units with their numbers, and
      # beneath it what is in it and at no unit yet.
      class RackFace
        # px
        UNIT = 20
        WIDE = 190
        NUMBERS = 26
        BETWEEN = 14
        HEAD = 62
        FOOT = 12
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param elevation [Racks::Elevation]
        # @param from_above [Boolean] whether U1 is the uppermost unit
        def initialize(elevation, from_above: false)
          @elevation = elevation
          @from_above = from_above
        end

        attr_reader :elevation

        # @return [Boolean] whether another of that elevation would be drawn the same
        def same?(elevation, from_above) = @from_above == from_above && @elevation.same?(elevation)

        def width = NUMBERS + (2 * WIDE) + BETWEEN + 8
        def frame = @elevation.height * UNIT
        def height = HEAD + frame + FOOT + waiting
        def waiting = @elevation.waiting.empty? ? 0 : 22 + (@elevation.waiting.length * (UNIT + 2))

        # @return [Hash{String => Hash}] places of all that is in it, by id (see #place)
        def places(x, y)
          return @places if @placed_at == [x, y]

          @placed_at = [x, y]
          @places = @elevation.things.to_h { |thing| [thing.id, place(thing, x, y)] }
        end

        # @param x [Numeric] left of the rack
        # @param y [Numeric] top of the rack
        # @return [Hash] +x+, +y+, +w+ and +h+ of what stands in it
        def place(thing, x, y)
          span = @elevation.span(thing) or return waiting_place(thing, x, y)

          w = span.sides.one? ? WIDE / 2 : WIDE
          left = x + NUMBERS + (span.faces == [:rear] ? WIDE + BETWEEN : 0) + (span.sides == [:right] ? WIDE / 2 : 0)
          # Of what is beyond the rack as much is drawn as is within it.
          upper, lower = [top(span), top(span) + ((span.high - span.low + 1) * UNIT)].map { |at| at.clamp(0, frame) }
          { x: left, y: y + HEAD + upper, w:, h: [lower - upper, UNIT].max }
        end

        # @return [Boolean] whether it cannot stand as it is said to
        def wrong?(thing)
          @wrong ||= [*@elevation.beyond, *@elevation.overlaps.flatten].to_set(&:id)
          @wrong.include?(thing.id)
        end

        # @param dx [Numeric] px from the left of the rack
        # @param dy [Numeric] px from its top
        # @param height [Integer] units of a thing whose top left corner comes there
        # @return [Array(Integer, Symbol), nil] the lowest unit and the face; nil outside the frame
        def unit_at(dx, dy, height)
          column = ((dx + (WIDE / 2) - NUMBERS) / (WIDE + BETWEEN)).floor
          row = ((dy - HEAD) / UNIT.to_f).round
          return unless column.between?(0, 1) && row.between?(1 - height, @elevation.height)

          row = row.clamp(0, [@elevation.height - height, 0].max)
          [@from_above ? row + 1 : @elevation.height - row - height + 1, column.zero? ? :front : :rear]
        end

        # @return [Array] shapes of the rack without what stands in it
        def shapes(box, pen)
          top = box.y + HEAD
          [
            S.rect(box.x, box.y, box.w, HEAD + frame + FOOT, pen),
            S.text(box.x + 10, box.y + 18, P.fit(@elevation.rack.name, :name, box.w - 20), :name),
            *told(box),
            *frames(box.x, top),
            *numbers(box.x, top),
            *behind(box.x, top),
            *(@elevation.waiting.any? ? [S.text(box.x + NUMBERS, box.y + HEAD + frame + FOOT + 16, "in it, at no unit yet", :caption)] : [])
          ]
        end

        # @return [Array<String>] how much of it is free, drawn and borne
        def sums
          rack = @elevation.rack
          [
            "#{@elevation.height} units: #{@elevation.free} free, #{@elevation.largest_gap} of them together",
            [sum(@elevation.power, rack["supply"], "W"), sum(@elevation.weight, rack["load"], "kg")].compact.join(", ")
          ]
        end

        private

        def told(box)
          sums.each_with_index.map do |words, row|
            S.text(box.x + 10, box.y + 32 + (row * 12), P.fit(words, :caption, box.w - 20), :caption)
          end
        end

        def sum(used, most, measure)
          return if used.zero? && most.nil?

          most ? "#{used} of #{most} #{measure}" : "#{used} #{measure}"
        end

        def top(span) = (@from_above ? span.low - 1 : @elevation.height - span.high) * UNIT

        def waiting_place(thing, x, y)
          row = @elevation.waiting.index { |one| one.id == thing.id }
          { x: x + NUMBERS, y: y + HEAD + frame + FOOT + 22 + (row * (UNIT + 2)), w: WIDE, h: UNIT }
        end

        def frames(x, top)
          ["front", "rear"].each_with_index.flat_map do |face, index|
            left = x + NUMBERS + (index * (WIDE + BETWEEN))
            [
              S.rect(left, top, WIDE, frame, :outline),
              S.text(left + 2, top - 4, face, :caption),
              *(1...@elevation.height).map { |unit| S.polyline([[left, top + (unit * UNIT)], [left + WIDE, top + (unit * UNIT)]], :cell) }
            ]
          end
        end

        def numbers(x, top)
          (1..@elevation.height).map do |unit|
            row = @from_above ? unit - 1 : @elevation.height - unit
            S.text(x + NUMBERS - 5, top + (row * UNIT) + 14, unit.to_s, :caption, :end)
          end
        end

        # What fills the whole depth is seen from the other side too.
        def behind(x, top)
          left = x + NUMBERS + WIDE + BETWEEN
          @elevation.mounted.select { |thing| @elevation.span(thing).faces.length == 2 }.flat_map do |thing|
            place = place(thing, 0, top - HEAD)
            # From behind left is right.
            at = left + (@elevation.span(thing).sides == [:left] ? WIDE / 2 : 0)
            [
              S.rect(at, place[:y], place[:w], place[:h], :plain),
              S.text(at + 8, place[:y] + 14, P.fit(thing.name, :caption, place[:w] - 16), :caption)
            ]
          end
        end
      end
    end
  end
end
