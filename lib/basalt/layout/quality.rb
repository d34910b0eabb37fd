# frozen_string_literal: true

module Basalt
  module Layout
    # How good a drawing of boxes and lines is, counted: what readers trip over (crossings and bends;
    # Purchase, "Which aesthetic has the greatest effect on human understanding?", 1997) and how
    # large the paper has to be that holds it.
    class Quality
      # Width to height of the A series, lying (ISO 216).
      PAPER = Math.sqrt(2)

      # @param boxes [Hash{Object => Box}]
      # @param routes [Array<Array(Object, Object, Array)>] from, to and the points of each line
      def initialize(boxes, routes)
        @boxes = boxes
        @routes = routes.map { |from, to, points| [from, to, Polyline.simplify(points.map { |x, y| [x.round(1), y.round(1)] })] }
      end

      def bends = @bends ||= @routes.sum { |_, _, points| [points.length - 2, 0].max }
      def length = @routes.sum { |_, _, points| Polyline.length(points) }.round

      def around =
        @around ||=
          Box.around(@boxes.values + @routes.flat_map { |_, _, points| Polyline.boxes(points) }) || Box.new(x: 0, y: 0, w: 0, h: 0)

      def area = around.w * around.h

      # @return [Float] of the smallest sheet of the A series, lying, that holds it, px²
      def paper = [around.w, around.h * PAPER].max.then { |width| width * width / PAPER }

      # @return [Float] how far its proportions are from those of the paper: 1 is the same, 2 is twice as long
      def distortion = [around.w / (around.h * PAPER), around.h * PAPER / [around.w, 1].max].max

      # Places where a level run of one line meets an upright run of another.
      def crossings
        @crossings ||=
          begin
            upright = Index.new
            runs { |line, box| upright.add(line, box) if box.h > box.w }
            count = 0
            runs do |line, box|
              count += upright.overlapping(box.grow(0.01)).count { |other, run| other != line && cross?(box, run) } if box.w >= box.h
            end
            count
          end
      end

      # Lines that pass through a box they do not end at.
      def through
        things = Index.new
        @boxes.each { |id, box| things.add(id, box.grow(-1)) }
        @routes.count { |from, to, points| Polyline.boxes(points).any? { |run| !things.free?(run) { |id| [from, to].include?(id) } } }
      end

      # @return [Float] of several drawings of the same, the one with the least is best
      def cost
        lines = @routes.length
        Math.sqrt(paper) * (1 + (crossings / (lines + 6.0)) + (bends / ((12.0 * lines) + 20)))
      end

      private

      def cross?(level, upright)
        upright.y < level.y - 0.1 && upright.bottom > level.y + 0.1 && upright.x > level.x + 0.1 && upright.x < level.right - 0.1
      end

      def runs
        @routes.each_with_index { |(_, _, points), line| Polyline.boxes(points).each { |box| yield line, box } }
      end
    end
  end
end
