# frozen_string_literal: true

# What must hold of a sheet that was laid out.
module Tidiness
  def assert_tidy(set, message)
    sheet = set.sheet_list.first
    boxes = boxes(set, sheet)
    boxes.combination(2) { |(a, one), (b, other)| refute one.overlap?(other), "#{message}: #{a} on #{b}" }
    assert_lines(set, sheet, boxes, message)
  end

  # Slabs, and the words above a bus.
  def boxes(set, sheet)
    set
      .things_on(sheet.id)
      .flat_map do |thing|
        placement = set.placement(sheet.id, thing.id)
        sheet.notation.obstacles(set, thing, placement).map { |box| [thing.name, box] }
      end
  end

  def assert_lines(set, sheet, boxes, message)
    index = Basalt::Layout::Index.new
    boxes.each { |name, box| index.add(name, box) }
    placed = Basalt::Layout::Index.new
    sheet
      .notation
      .lines_on(set, sheet.id)
      .each do |line|
        route = set.placement(sheet.id, line.id)&.route
        assert route, "#{message}: no route for #{line.targets.map { |id| set.element(id).name }}"
        Basalt::Layout::Polyline
          .boxes(route["points"])
          .each do |box|
            assert_empty index.overlapping(box), "#{message}: #{line.targets.map { |id| set.element(id).name }} through a box"
          end
        assert_labels(set, sheet, line, route, index, placed, message)
        assert_attached(set, sheet, line, route["points"], message)
      end
  end

  def assert_labels(set, sheet, line, route, index, placed, message)
    sheet
      .notation
      .labels(set, line)
      .each do |label|
        place = route["labels"][label.role]
        assert place, "#{message}: no room for #{label.text}"
        box = Basalt::Layout::Box.at(*place, label.width, label.height)
        assert_empty index.overlapping(box), "#{message}: label #{label.text} on a box"
        assert_empty placed.overlapping(box.grow(-1)), "#{message}: label #{label.text} on a label"
        placed.add(line.id, box)
      end
  end

  def assert_attached(set, sheet, line, points, message)
    line
      .targets
      .values_at(0, -1)
      .zip(points.values_at(0, -1))
      .each do |id, (x, y)|
        placement = set.placement(sheet.id, id)
        touching =
          if set.element(id).kind == "subnet"
            Basalt::Network::Notation::Bus.rails(placement).any? { |left, right, at| at == y && x.between?(left, right) }
          else
            placement.box.grow(0.5).overlap?(Basalt::Layout::Box.new(x:, y:, w: 0.1, h: 0.1))
          end
        assert touching, "#{message}: a line to #{set.element(id).name} ends at #{[x, y]}"
      end
  end

  # Nothing on anything, every line drawn and through no box; labels may lack room.
  def assert_clear(set, message)
    sheet = set.sheet_list.first
    boxes = boxes(set, sheet)
    boxes.combination(2) { |(a, one), (b, other)| refute a != b && one.overlap?(other), "#{message}: #{a} on #{b}" }
    index = Basalt::Layout::Index.new
    boxes.each { |name, box| index.add(name, box) }
    sheet
      .notation
      .lines_on(set, sheet.id)
      .each do |line|
        points = set.placement(sheet.id, line.id).route["points"]
        Basalt::Layout::Polyline.boxes(points).each { |box| assert_empty index.overlapping(box), "#{message}: a line through a box" }
        assert_attached(set, sheet, line, points, message)
      end
  end
end
