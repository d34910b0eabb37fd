# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # Somebody who takes part, in an activity table that is drawn: a head with the name, and beneath it the boxes of what
      # they do, along a line.
      class Lane
        HEAD = 34
        # Height of a box with one line of words, and of each line more, px.
        LINE = 26
        MORE = 15
        WIDE = 150
        LEAST = 96
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param rows [Array<Model::Element>] their activities
        # @param boundary [SystemBoundary] who is outside
        def initialize(set, thing, rows, boundary = SystemBoundary.new(set))
          @thing = thing
          @rows = rows
          @outside = boundary.of(thing)&.outside?
          @texts = rows.to_h { |row| [row.id, P.lines(row.name, :member, WIDE - 52)] }
        end

        def width = @width ||= [P.width(@thing.name, :name) + 24, *@rows.map { |row| row_width(row) }].max.clamp(LEAST, 240).ceil

        # @return [Numeric] of the box of an activity, px
        def row_width(row) = (@texts.fetch(row.id).map { |line| P.width(line, :member) }.max + 52).ceil
        def row_height(row) = LINE + (MORE * (@texts.fetch(row.id).length - 1))

        # @param heights [Hash{String => Numeric}] (see LanesGeometry#heights)
        # @param numbers [Hash{String => Integer}] places of the rows in the table
        # @return [Array] shapes
        def shapes(box, heights, numbers)
          [
            S.rect(box.x, box.y, box.w, HEAD, @outside ? :planned : :outline),
            S.text(box.cx, box.y + 22, P.fit(@thing.name, :name, box.w - 16), :name, :middle),
            S.path("M#{S.numbers(box.cx, box.y + HEAD)}V#{S.n box.bottom}", :thread),
            *@rows.map { |row| S.part(row.id, row(row, box, heights.fetch(row.id), numbers[row.id])) }
          ]
        end

        # @return [Array<Layout::Box>] of the head and of each row
        def boxes(box, heights)
          [Layout::Box.new(x: box.x, y: box.y, w: box.w, h: HEAD), *@rows.map { |row| row_box(row, box, heights.fetch(row.id)) }]
        end

        private

        def row_box(row, box, middle) = Layout::Box.at(box.cx, box.y + middle, row_width(row), row_height(row))

        def row(row, box, middle, number)
          w, h = row_width(row), row_height(row)
          x = box.cx - (w / 2)
          y = box.y + middle - (h / 2)
          lines = @texts.fetch(row.id).each_with_index.map { |line, index| S.text(x + 44, y + 17 + (index * MORE), line, :member) }
          [
            S.rect(x, y, w, h, row["processing"] ? :outline : :plain),
            S.text(x + 24, y + 17, number.to_s, :identifier, :end),
            S.text(x + 30, y + 17, row["processing"] ? "=" : "", :label),
            *lines
          ]
        end
      end
    end
  end
end
