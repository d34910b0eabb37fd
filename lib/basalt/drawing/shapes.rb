# frozen_string_literal: true

module Basalt
  module Drawing
    # The few shapes that drawings are made of. Each is a frozen array that the writer knows.
    module Shapes
      module_function

      # @param d [String] path data of SVG
      # @param pen [Symbol] of Pens::LINES
      def path(d, pen) = [:path, d, pen].freeze
      def polyline(points, pen) = path(data(points), pen)
      def fill(d, colour) = [:fill, d, colour].freeze

      # @param anchor [Symbol] +:start+, +:middle+ or +:end+
      def text(x, y, string, style, anchor = :start) = [:text, x, y, string, style, anchor].freeze
      def glyph(name, x, y) = [:glyph, name, x, y].freeze
      # @param element_id [String] of a part of what is drawn, to point at by itself
      def part(element_id, shapes) = [:part, element_id, shapes].freeze
      # @param id [String, nil] of an image
      def image(id, box) = [:image, id, box.x, box.y, box.w, box.h].freeze

      def rect(x, y, w, h, pen)
        left = n(x)
        path("M#{left} #{n y}H#{n x + w}V#{n y + h}H#{left}Z", pen)
      end

      # @return [String] path data of straight runs
      def data(points)
        way = ""
        points.each { |x, y| way = way.empty? ? "M#{n x} #{n y}" : "#{way}L#{n x} #{n y}" }
        way
      end

      # @return [String] numbers with spaces between
      def numbers(*all) = all.map { |number| n(number) }.join(" ")

      # Numbers with one decimal at most.
      def n(number)
        return number if number.is_a?(Integer)

        whole = number.to_i
        return whole if whole == number

        rounded = number.round(1)
        rounded == rounded.to_i ? rounded.to_i : rounded
      end
    end
  end
end
