# frozen_string_literal: true

require_relative "../support/core_helper"
require "ipaddr"
require "csv"

# What the core works out in a quick or clever way, against the plain way of working it out.
class OraclesTest < Minitest::Test
  include CoreHelper

  def random = @random ||= Random.new(17)
  def pick(list) = list.sample(random:)

  # --- addresses, against the standard library

  def address(version) = Addresses::Address.new(version:, number: random.rand(1 << (version == 4 ? 32 : 128)))

  def test_addresses_are_read_and_written_as_the_library_does
    500.times do
      written = address(pick([4, 6])).to_s
      assert_equal IPAddr.new(written).to_s, written
      assert_equal IPAddr.new(written).to_i, Addresses.address(written).number
      assert_equal Addresses.address(written), Addresses.address(written.upcase)
    end
  end

  def test_prefixes_hold_what_the_library_says_they_hold
    300.times do
      version = pick([4, 6])
      bits = version == 4 ? 32 : 128
      length = random.rand(0..bits)
      range = IPAddr.new("#{address(version)}/#{length}")
      prefix = Addresses.prefix("#{range}/#{length}")
      assert_equal [range.to_range.first.to_i, range.to_range.last.to_i], [prefix.first, prefix.last]
      inside = Addresses::Address.new(version:, number: random.rand(prefix.first..prefix.last))
      [inside, address(version)].each { |one| assert_equal range.include?(IPAddr.new(one.to_s)), prefix.cover?(one) }
    end
  end

  def test_the_next_free_address_is_the_first_that_is_not_taken
    200.times do
      prefix = Addresses.prefix("10.0.0.0/#{random.rand(26..32)}")
      all = (prefix.first..prefix.last).to_a - prefix.reserved
      taken = all.select { random.rand < 0.7 }.to_set
      from = random.rand(2).zero? ? nil : random.rand((prefix.first - 3)..(prefix.last + 3))
      turned = all.include?(from) ? all.rotate(all.index(from)) : all
      assert_equal [turned.find { |number| !taken.include?(number) }], [prefix.next_free(taken, from:)&.number], "#{prefix} from #{from}"
    end
  end

  # --- tables of separated values

  HOSTILE = [
    "=1+1",
    "-1+1",
    "-5",
    "-5,3",
    "+49",
    "@x",
    "\tx",
    "a\"b",
    "a,b",
    "a;b",
    "line\nbreak",
    " spaced ",
    "",
    "'=x",
    "—",
    "é",
    "0012"
  ].freeze

  def test_what_is_written_is_read_and_no_cell_is_a_formula
    100.times do
      rows = Array.new(random.rand(1..6)) { Array.new(4) { pick(HOSTILE) } }
      written = Formats::CSV.write([%w[a b c d], *rows])
      ::CSV.parse(written).flatten.compact.each { |cell| refute_match(/\A[=+@\t]/, cell) }
      next if rows.flatten.all? { |cell| cell.strip.empty? }

      read = Formats::CSV.new(written)
      assert_equal %w[a b c d], read.headings
      plain = ->(cell) { Formats::CSV.meant(Formats::CSV.harmless(cell).strip) }
      assert_equal(rows.map { |row| row.map(&plain) }, read.rows.map { |row| row.cells.map { |cell| Formats::CSV.meant(cell) } })
    end
  end

  def test_any_encoding_and_separator_gives_the_same_table
    rows = [%w[Name Ort], ["Müller", "Straße 5"], %w[Ågren Élan]]
    [",", ";", "\t", "|"].each do |mark|
      text = rows.map { |row| row.join(mark) }.join("\r\n")
      %w[UTF-8 Windows-1252 UTF-16LE UTF-16BE].each do |encoding|
        bytes = encoding.start_with?("UTF-16") ? Formats::CSV::MARKS.fetch(encoding) + text.encode(encoding).b : text.encode(encoding).b
        read = Formats::CSV.new(bytes)
        assert_equal rows, [read.headings, *read.rows.map(&:cells)], "#{encoding} #{mark.inspect}"
        assert_equal [2, 3], read.rows.map(&:line)
      end
    end
  end

  # --- layout

  def box = Layout::Box.new(x: random.rand(-300..300), y: random.rand(-300..300), w: random.rand(1..200), h: random.rand(1..200))

  def test_boxes_overlap_where_they_share_a_point_inside
    400.times do
      one, other = box, box
      shared = ([one.x, other.x].max < [one.right, other.right].min) && ([one.y, other.y].max < [one.bottom, other.bottom].min)
      assert_equal shared, one.overlap?(other)
      assert_equal shared, other.overlap?(one)
      around = Layout::Box.around([one, other])
      assert_equal [[one.x, other.x].min, [one.bottom, other.bottom].max], [around.x, around.bottom]
    end
  end

  def lines(count)
    Array.new(count) do |n|
      points = [[random.rand(0..40) * 10, random.rand(0..40) * 10]]
      upright = random.rand(2).zero?
      random
        .rand(1..4)
        .times do
          x, y = points.last
          points << (upright ? [x, y + (random.rand(-9..9) * 10)] : [x + (random.rand(-9..9) * 10), y])
          upright = !upright
        end
      ["from #{n}", "to #{n}", points]
    end
  end

  def crossings(routes)
    runs =
      routes.each_with_index.flat_map do |(_, _, points), line|
        Layout::Polyline.simplify(points).each_cons(2).map { |one, other| [line, one, other] }
      end
    runs.combination(2).count { |(line, *one), (second, *other)| line != second && cross?(one, other) }
  end

  # Strictly within both, one being level and the other upright.
  def cross?(one, other)
    level, upright = [one, other].partition { |(_, y), (_, end_y)| y == end_y }
    return false unless level.length == 1 && upright.length == 1

    (x1, y), (x2, _) = level.first
    (x, y1), (_, y2) = upright.first
    x > [x1, x2].min && x < [x1, x2].max && y > [y1, y2].min && y < [y1, y2].max
  end

  def test_crossings_and_bends_are_counted_as_by_hand
    60.times do
      routes = lines(random.rand(2..12))
      quality = Layout::Quality.new({}, routes)
      assert_equal crossings(routes), quality.crossings
      assert_equal routes.sum { |_, _, points| [Layout::Polyline.simplify(points).length - 2, 0].max }, quality.bends
    end
  end

  def test_the_paper_holds_the_drawing_and_none_smaller_would
    100.times do
      boxes = Array.new(random.rand(1..5)) { |n| [n, box] }.to_h
      quality = Layout::Quality.new(boxes, [])
      around = Layout::Box.around(boxes.values)
      width = Math.sqrt(quality.paper * Layout::Quality::PAPER)
      assert_operator width + 0.01, :>=, around.w
      assert_operator (width / Layout::Quality::PAPER) + 0.01, :>=, around.h
      assert((width - around.w).abs < 0.01 || ((width / Layout::Quality::PAPER) - around.h).abs < 0.01)
      assert_operator quality.distortion, :>=, 1
    end
  end

  def test_crossings_between_levels_are_the_pairs_out_of_order
    60.times do
      cells = (0...random.rand(2..14)).to_a
      upper, lower = cells.partition.with_index { |_, index| index.zero? || (index > 1 && random.rand < 0.5) }
      pairs = Array.new(random.rand(0..12)) { [pick(upper), pick(lower)] }
      above, below, beside = Array.new(3) { cells.map { [] } }
      pairs.each { |one, other| (below[one] << other) && (above[other] << one) }
      place = (upper.each_with_index.to_a + lower.each_with_index.to_a).to_h
      out = pairs.combination(2).count { |(a, b), (c, d)| ((place[a] <=> place[c]) * (place[b] <=> place[d])).negative? }
      assert_equal out, Layout::Crossings.new(above, below, beside).count([upper, lower])
    end
  end

  def test_what_is_packed_overlaps_nothing_and_keeps_its_shape
    60.times do
      parts = Array.new(random.rand(1..7)) { |n| Array.new(random.rand(1..3)) { |m| ["#{n}-#{m}", box] }.to_h }
      corners = Layout::Packing.call(parts)
      placed =
        parts.map { |part| part.to_h { |id, one| [id, Layout::Box.new(x: corners[id][0], y: corners[id][1], w: one.w, h: one.h)] } }
      placed.map { |part| Layout::Box.around(part.values) }.combination(2) { |one, other| refute one.overlap?(other) }
      parts
        .zip(placed)
        .each do |part, now|
          part
            .keys
            .combination(2) do |a, b|
              assert_equal [part[a].x - part[b].x, part[a].y - part[b].y], [now[a].x - now[b].x, now[a].y - now[b].y]
            end
        end
    end
  end

  def test_lines_leave_a_box_far_enough_apart_to_be_told_apart
    200.times do
      one = box
      attachment_points = Layout::BoxTerminal.new(one).attachment_points([0, 0])
      assert_equal attachment_points.uniq, attachment_points
      attachment_points.each { |(x, y), _| assert one.grow(1).overlap?(Layout::Box.new(x: x - 0.5, y: y - 0.5, w: 1, h: 1)) }
      attachment_points
        .group_by(&:last)
        .each_value do |side|
          side
            .map(&:first)
            .combination(2) do |(x, y), (other_x, other_y)|
              assert_operator (x - other_x).abs + (y - other_y).abs, :>=, Layout::BoxTerminal::APART - 1
            end
        end
    end
  end

  def test_a_line_that_is_nearly_straight_is_straight
    80.times do
      from = [random.rand(100), random.rand(100)]
      aside = random.rand(-4..4)
      to = [from[0] + aside, from[1] + random.rand(60..200)]
      found = Layout::Elbows.between([from, [0, 1]], [to, [0, -1]], 14)
      assert_equal aside.abs <= Layout::Elbows::JOG, found.any? { |points| points.length == 2 }, aside
      found.each { |points| points.each_cons(2) { |a, b| assert a[0] == b[0] || a[1] == b[1] } }
    end
  end

  def test_a_line_until_a_point_ends_there_and_is_part_of_it
    60.times do
      points = Layout::Polyline.simplify(lines(1).first.last)
      next if points.length < 2

      along = random.rand * Layout::Polyline.length(points)
      goal = Layout::LabelPlaces.at(points, along)
      head = Layout::Polyline.until(points, goal)
      assert_operator Layout::Polyline.length(head), :<=, Layout::Polyline.length(points) + 0.01
      assert_in_delta 0, (head.last[0] - goal[0]).abs + (head.last[1] - goal[1]).abs, 0.01
    end
  end

  # --- words

  def test_singular_undoes_plural_and_articles_follow_the_sound
    nouns = %w[
      crew
      asset
      work\ order
      inspection
      valve
      box
      bus
      city
      day
      address
      reading
      technician
      branch
      company
      shelf
      knife
      house
      status
      analysis
      person
      child
      curve
      reserve
      drive
      wave
      move
      roof
      belief
      chief
      leaf
      safe
      base
      database
      case
      phase
      lease
      response
      licence
      schema
      gas
      half
      wolf
      series
      news
    ]
    nouns.each { |noun| assert_equal noun, English.singular(English.plural(noun)), noun }
    {
      "asset" => "an",
      "hour" => "an",
      "user" => "a",
      "crew" => "a",
      "unit" => "a",
      "order" => "an",
      "SQL script" => "an",
      "MQTT topic" => "an",
      "URL" => "a",
      "UPS" => "a",
      "ID" => "an",
      "LAN" => "a",
      "Sms" => "a",
      "one-way valve" => "a",
      "European" => "a"
    }.each { |noun, article| assert_equal article, English.article(noun), noun }
    assert_equal(["1 sheet", "2 sheets", "0 sheets"], [1, 2, 0].map { |count| English.count(count, "sheet") })
    assert_equal(["a", "a and b", "a, b and c"], [%w[a], %w[a b], %w[a b c]].map { |list| English.list(list) })
  end

  # --- names

  def test_names_carry_on_and_are_never_taken
    taken = Set.new
    60.times do
      base = pick(["server-1", "pump", "R9", "node 007", "a-09"])
      name = taken.include?(base) ? Model::Names.following(base) { |candidate| taken.include?(candidate) } : base
      refute_includes taken, name
      taken << name
    end
    assert_includes taken, "server-2"
    assert_includes taken, "R10"
    assert_includes taken, "node 008"
  end
end
