# frozen_string_literal: true

require_relative "../support/core_helper"

# The pieces of layout, each against what it promises.
class LayoutTest < Minitest::Test
  include CoreHelper

  L = Basalt::Layout

  def box(x, y, w = 100, h = 46) = L::Box.new(x:, y:, w:, h:)

  def test_boxes_that_touch_do_not_overlap
    refute box(0, 0).overlap?(box(100, 0))
    assert box(0, 0).overlap?(box(99, 45))
    assert_equal box(0, 0, 250, 96), L::Box.around([box(0, 0), box(150, 50)])
    assert_nil L::Box.around([])
    assert box(0, 0).overlap?(L::Box.along([50, -10], [50, 90]))
  end

  # Small boxes and such as touch thousands of cells, put and taken away, on both sides of zero.
  def test_an_index_finds_what_looking_at_every_box_would
    12.times do |seed|
      random = Random.new(seed)
      box = lambda do |most|
        L::Box.new(x: random.rand(-90_000..90_000), y: random.rand(-900.0..900.0), w: random.rand(most), h: random.rand(most / 40))
      end
      index = L::Index.new
      all = Array.new(60) { |id| [id, box.call([80, 4_000, 160_000].sample(random:))] }
      all.each { |id, one| index.add(id, one) }
      all.shuffle(random:).take(20).each { |pair| all.delete(pair) && index.remove(pair[0]) }
      40.times do
        asked = box.call([80, 4_000, 90_000].sample(random:))
        met = all.select { |_, one| one.overlap?(asked) }
        except = met.map(&:first).sample(random:)
        assert_equal met.map(&:first).sort, index.overlapping(asked).map(&:first).sort, seed
        assert_equal [met.empty?, met.length < 2], [index.free?(asked), index.free?(asked) { |id| id == except }], seed
        [0, 1, 3].each { |number| assert_equal met.length > number, index.more?(number, asked), seed }
        others = met.count { |id, _| id != except }
        [1, 4].each { |most| assert_equal [others, most].min, index.count(asked, most) { |id| id == except }, seed }
      end
    end
  end

  def test_the_index_finds_what_a_search_of_everything_finds
    random = Random.new(8)
    boxes = Array.new(300) { |n| [n, box(random.rand(-3000..3000), random.rand(-3000..3000), random.rand(1..400), random.rand(1..200))] }
    index = L::Index.new
    boxes.each { |id, one| index.add(id, one) }
    boxes.first(100).each { |id, _| index.remove(id) }
    60.times do
      asked = box(random.rand(-3000..3000), random.rand(-3000..3000), random.rand(1..900), random.rand(1..500))
      wanted = boxes.drop(100).select { |_, one| one.overlap?(asked) }.map(&:first)
      assert_equal wanted, index.overlapping(asked).map(&:first).sort
      assert_equal wanted.empty?, index.free?(asked)
      assert(index.free?(asked) { |id| wanted.include?(id) })
    end
  end

  # Heights over stretches, raised at random, against what every place by itself would be.
  def test_a_skyline_is_as_high_as_what_stands_there
    random = Random.new(3)
    30.times do
      bounds = Array.new(random.rand(2..40)) { random.rand(-900.0..900.0).round(1) }.uniq.sort
      skyline = L::Skyline.new(bounds.shuffle(random:))
      plain = Array.new(bounds.length - 1, -1)
      60.times do
        low, high = Array.new(2) { random.rand(bounds.length) }.minmax
        next if low == high

        assert_equal plain[low...high].max, skyline.highest(bounds[low], bounds[high])
        height = random.rand(30)
        (low...high).each { |place| plain[place] = [plain[place], height].max }
        skyline.raise(bounds[low], bounds[high], height)
      end
    end
  end

  def test_a_stretch_takes_the_first_track_that_has_room
    random = Random.new(5)
    20.times do
      tracks = L::Tracks.new(5)
      taken = Hash.new { |table, track| table[track] = [] }
      60.times do
        low, high = Array.new(2) { random.rand(400) }.minmax
        from = random.rand(4)
        free = (from..).find { |track| taken[track].none? { |a, b| low < b + 5 && a < high + 5 } }
        assert_equal free, tracks.take(low, high, from)
        taken[free] << [low, high]
      end
    end
  end

  # A change of places counts for as much as it brings, also between cells that are joined to very many.
  def test_neighbours_change_places_only_where_fewer_lines_cross
    random = Random.new(9)
    20.times do
      count = random.rand(4..40)
      above, below, beside = Array.new(3) { Array.new(count) { [] } }
      levels = [(0...(count / 2)).to_a, ((count / 2)...count).to_a]
      random.rand(1..200).times do
        one, other = levels.map { |level| level.sample(random:) }
        below[one] << other
        above[other] << one
      end
      crossings = L::Crossings.new(above, below, beside)
      found = L::Exchange.new(above, below, beside, crossings).call(levels)
      assert_equal levels.map(&:sort), found.map(&:sort)
      assert_operator crossings.count(found), :<=, crossings.count(levels)
    end
  end

  def test_spacing_keeps_order_and_gaps_and_moves_no_more_than_it_must
    random = Random.new(2)
    100.times do
      wanted = Array.new(random.rand(1..12)) { random.rand(-500..500) }
      gaps = Array.new(wanted.length) { random.rand(5..60) }
      solved = L::Spacing.solve(wanted, gaps)
      solved.each_cons(2).with_index { |(one, other), n| assert_operator other - one, :>=, gaps[n + 1] - 1e-6 }
      cost = ->(xs) { xs.zip(wanted).sum { |x, want| (x - want)**2 } }
      20.times do
        shifted = solved.map { |x| x + random.rand(-9.0..9.0) }
        next unless shifted.each_cons(2).with_index.all? { |(one, other), n| other - one >= gaps[n + 1] }

        assert_operator cost.call(solved), :<=, cost.call(shifted) + 1e-6
      end
    end
  end

  def test_spacing_within_bounds_stays_there
    assert_equal [0.0, 50.0, 100.0], L::Spacing.within([500, 500, 500], [0, 80, 80], 0, 100).map(&:round).map(&:to_f)
    L::Spacing.within([-50, 3, 400], [0, 16, 16], 10, 90).each { |x| assert_includes 10..90, x }
  end

  def test_runs_of_a_channel_do_not_lie_on_each_other
    random = Random.new(4)
    40.times do
      runs = Array.new(random.rand(2..25)) { |n| L::Channel::Run.new(id: n, upper: [random.rand(0..900)], lower: [random.rand(0..900)]) }
      tracks = L::Channel.new(runs).tracks
      runs
        .select { |run| tracks[run.id] }
        .combination(2) do |one, other|
          next unless tracks[one.id] == tracks[other.id]

          refute one.span[0] < other.span[1] && other.span[0] < one.span[1], "#{one.span} and #{other.span} share a track"
        end
    end
  end

  def test_ordering_crosses_no_more_than_the_order_given
    above, below, beside = Array.new(3) { Array.new(6) { [] } }
    { 0 => 5, 1 => 4, 2 => 3 }.each { |upper, lower| (below[upper] << lower) && (above[lower] << upper) }
    best = L::Ordering.new([[0, 1, 2], [3, 4, 5]], above, below, beside).best
    assert_equal([0, 1, 2].map { |cell| best[0].index(cell) }, [5, 4, 3].map { |cell| best[1].index(cell) })
  end

  def test_levels_have_no_holes_and_none_is_too_wide
    nodes = Array.new(30) { |n| L::Node.box(n, 150, 46, n < 20 ? 3 : 9) }
    levels = L::Levels.settle(nodes, 1000, 40).group_by(&:level)
    assert_equal (0...levels.length).to_a, levels.keys.sort
    levels.each_value { |row| assert_operator row.sum { |node| node.w + 40 }, :<=, 1200 }
  end

  def test_layered_lines_pass_through_no_box
    12.times do |seed|
      random = Random.new(seed)
      nodes = Array.new(random.rand(2..30)) { |n| L::Node.box(n, random.rand(80..220), random.rand(40..120), random.rand(0..5)) }
      edges =
        Array
          .new(random.rand(1..45)) do |n|
            L::Edge.new(id: "e#{n}", from: random.rand(nodes.length), to: random.rand(nodes.length), from_room: 30)
          end
          .reject { |e| e.from == e.to }
      plan = L::Layered.call(nodes, edges)
      boxes = nodes.map { |node| box(*plan.corners[node.id], node.w, node.h) }
      boxes.combination(2) { |one, other| refute one.overlap?(other), "seed #{seed}" }
      edges.each do |edge|
        L::Polyline
          .boxes(plan.routes.fetch(edge.id))
          .each { |segment| boxes.each { |one| refute one.overlap?(segment), "seed #{seed}: #{edge.id}" } }
      end
    end
  end

  def test_a_routed_line_goes_round_what_is_in_its_way
    random = Random.new(6)
    40.times do |round|
      index = L::Index.new
      boxes = []
      30.times do |n|
        one = box(random.rand(0..14) * 90, random.rand(0..9) * 90, 70, 50)
        (boxes << one) && index.add(n, one) unless boxes.include?(one)
      end
      from, to = boxes.sample(2, random:)
      ids = [from, to].map { |one| index.overlapping(one).first.first }
      route = L::Router.new(index, L::Index.new).route(L::BoxTerminal.new(from), L::BoxTerminal.new(to), ids)
      L::Polyline.boxes(route).each { |segment| boxes.each { |one| refute one.overlap?(segment), "round #{round}" } }
      route.each_cons(2) { |one, other| assert one[0] == other[0] || one[1] == other[1], "a slanted segment" }
    end
  end

  def test_the_way_through_a_maze_is_found
    index = L::Index.new
    [[100, -300, 20, 560], [200, -200, 20, 560], [300, -300, 20, 560]].each_with_index { |wall, n| index.add(n, box(*wall)) }
    from = box(0, 0, 60, 40)
    to = box(400, 0, 60, 40)
    index.add(:from, from)
    index.add(:to, to)
    route = L::Router.new(index, L::Index.new).route(L::BoxTerminal.new(from), L::BoxTerminal.new(to), %i[from to])
    L::Polyline.boxes(route).each { |segment| assert_empty(index.overlapping(segment)) }
  end

  def test_the_heap_gives_the_cheapest_first
    heap = L::Heap.new
    prices = Array.new(200) { |n| (n * 7919) % 211 }
    prices.each_with_index { |price, n| heap.push(n, price) }
    assert_equal prices.sort, Array.new(200) { prices[heap.pop] }
    assert_nil heap.pop
  end

  def test_polylines_are_kept_short
    assert_equal [[0, 0], [0, 9], [5, 9]], L::Polyline.simplify([[0, 0], [0, 0], [0, 4], [0, 9], [3, 9], [5, 9]])
    assert_equal 14, L::Polyline.length([[0, 0], [0, 9], [5, 9]])
    assert_equal [2, 9], L::LabelPlaces.at([[0, 0], [0, 9], [5, 9]], 11)
    assert_equal [[0, 9], [0, 50], [31, 50]], L::Polyline.shortened([[0, 0], [0, 50], [40, 50]], 9)
    assert_equal [[5, 0], [7.5, 0]], L::Polyline.shortened([[0, 0], [10, 0]], 9)
  end
end
