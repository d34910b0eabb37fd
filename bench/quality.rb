# frozen_string_literal: true

# How good a drawing of boxes and lines is, counted.
class Quality
  # @param boxes [Hash{Object => Basalt::Layout::Box}]
  # @param routes [Array<Array(Object, Object, Array)>] from, to and the points of each line
  def initialize(boxes, routes)
    @boxes = boxes
    @routes = routes.map { |from, to, points| [from, to, Basalt::Layout::Polyline.simplify(points.map { |x, y| [x.round(1), y.round(1)] })] }
  end

  def bends = @routes.sum { |_, _, points| [points.length - 2, 0].max }
  def length = @routes.sum { |_, _, points| Basalt::Layout::Polyline.length(points) }.round

  # Places where a level run of one line meets an upright run of another.
  def crossings
    upright = Basalt::Layout::Index.new
    runs { |line, box| upright.add(line, box) if box.h > box.w }
    count = 0
    runs { |line, box| count += upright.overlapping(box.grow(0.01)).count { |other, run| other != line && cross?(box, run) } if box.w >= box.h }
    count
  end

  def cross?(level, upright)
    upright.y < level.y - 0.1 && upright.bottom > level.y + 0.1 && upright.x > level.x + 0.1 && upright.x < level.right - 0.1
  end

  # Lines that pass through a box they do not end at.
  def through
    things = Basalt::Layout::Index.new
    @boxes.each { |id, box| things.add(id, box.grow(-1)) }
    @routes.count { |from, to, points| Basalt::Layout::Polyline.boxes(points).any? { |run| !things.free?(run) { |id| [from, to].include?(id) } } }
  end

  private

  def runs
    @routes.each_with_index { |(_, _, points), line| Basalt::Layout::Polyline.boxes(points).each { |box| yield line, box } }
  end
end
