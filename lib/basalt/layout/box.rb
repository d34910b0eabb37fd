# frozen_string_literal: true

module Basalt
  module Layout
    # An upright rectangle on the sheet, in px; +x+ and +y+ are its top left corner.
    class Box
      # Named by whoever makes one; very many are made, and handing the names on would take longer than all else.
      def self.new(x:, y:, w:, h:) = super(x, y, w, h)

      def initialize(x, y, w, h)
        @x = x
        @y = y
        @w = w
        @h = h
        # Asked for so often that they are kept.
        @right = x + w
        @bottom = y + h
        freeze
      end

      attr_reader :x, :y, :w, :h, :right, :bottom

      # @return [Box] around all of them; nil for none
      def self.around(boxes)
        first = boxes.first or return
        x, y, right, bottom = first.x, first.y, first.right, first.bottom
        boxes.each do |box|
          x = box.x if box.x < x
          y = box.y if box.y < y
          right = box.right if box.right > right
          bottom = box.bottom if box.bottom > bottom
        end
        new(x:, y:, w: right - x, h: bottom - y)
      end

      # @return [Box] with its middle at a point
      def self.at(cx, cy, w, h) = new(x: cx - (w / 2.0), y: cy - (h / 2.0), w:, h:)

      # @return [Box] covering a straight segment
      def self.along(one, other)
        x, right = one[0], other[0]
        x, right = right, x if right < x
        y, bottom = one[1], other[1]
        y, bottom = bottom, y if bottom < y
        new(x:, y:, w: right - x, h: bottom - y)
      end

      def cx = x + (w / 2.0)
      def cy = y + (h / 2.0)
      def grow(by, other = by) = Box.new(x: x - by, y: y - other, w: w + (2 * by), h: h + (2 * other))

      # Touching is not overlapping.
      def overlap?(other)
        x < other.right && other.x < right && y < other.bottom && other.y < bottom
      end

      def ==(other) = other.is_a?(Box) && x == other.x && y == other.y && w == other.w && h == other.h
      alias eql? ==
      def hash = [x, y, w, h].hash
    end
  end
end
