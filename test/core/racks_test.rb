# frozen_string_literal: true

require_relative "../support/core_helper"

# Racks: what stands where, what fits, what is pushed, and where it is drawn; compared with units counted one by one.
class RacksTest < Minitest::Test
  include CoreHelper

  Racks = Basalt::Network::Racks
  SEEDS = 80

  # @return [String] statements of a rack and things in it, some of them where they cannot be
  def text(random, tidy: false)
    height = random.rand(4..20)
    taken = []
    lines = ["project P", "sheet S: rack", "rack R1 #{height}U, supplies #{random.rand(1..5)}000W"]
    random.rand(1..9).times do |n|
      high = random.rand(1..4)
      at = random.rand(1..(height + (tidy ? 1 - high : 2)))
      depth = [nil, "half depth", "half depth, rear"].sample(random:)
      next if tidy && (at < 1 || taken.intersect?((at...(at + high)).to_a))

      taken.concat((at...(at + high)).to_a)
      side = [nil, nil, "left half", "right half"].sample(random:)
      lines << ["server s-#{n} in R1#{" at U#{at}" unless random.rand(6).zero?}", "#{high}U", depth, side,
                "#{random.rand(1..9)}0W"].compact.join(", ")
    end
    lines.join("\n")
  end

  def rack(set) = set.named("R1").first
  def elevation(set) = Racks::Elevation.new(set, rack(set))

  # Every cell of the rack with the things in it: unit, face, side.
  def cells(set)
    elevation(set).things.select { |thing| thing["at unit"] }.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |thing, found|
      faces = thing["half depth"] ? [thing["rear"] ? :rear : :front] : %i[front rear]
      sides = thing["half"] ? [thing["half"]] : %w[left right]
      (0...(thing["height"] || 1)).to_a.product(faces, sides).each { |n, face, side|
        found[[thing["at unit"] + n, face, side]] << thing.name
      }
    end
  end

  def test_overlaps_gaps_and_sums_are_those_counted_cell_by_cell
    SEEDS.times do |seed|
      set = model(text(Random.new(seed)))
      cells = cells(set)
      racked = elevation(set)
      pairs = cells.values.flat_map { |names| names.combination(2).map(&:sort) }.uniq.sort
      assert_equal pairs, racked.overlaps.map { |pair| pair.map(&:name).sort }.sort, "seed #{seed}"
      assert_equal cells.keys.map(&:first).reject { |unit| unit.between?(1, racked.height) }.any?, racked.beyond.any?
      free = (1..racked.height).reject { |unit| cells.keys.any? { |at, *| at == unit } }
      assert_equal free, racked.gaps.flat_map(&:to_a)
      assert(racked.gaps.each_cons(2).all? { |one, other| one.last + 1 < other.first })
      assert_equal racked.things.sum { |one| one["power"] }, racked.power
      assert_equal([pairs.length, racked.beyond.length], %w[unit-overlap does-not-fit].map { |id| ids_of(set).count(id) })
      assert_equal racked.power > rack(set)["supply"], ids_of(set).include?("over-power")
    end
  end

  def test_a_place_that_is_found_is_free_and_none_is_missed
    SEEDS.times do |seed|
      set = model(text(Random.new(seed)))
      racked = elevation(set)
      racked.things.each do |thing|
        possible = (1..racked.height).select { |unit| racked.room?(thing, unit) }
        found = racked.place_for(thing)
        assert_equal possible.any?, !found.nil?, "seed #{seed} #{thing.name}"
        assert_includes possible, found if found
      end
      repaired = findings(set).select { |one| one.id == "unit-overlap" && one.repair }
      repaired.each do |finding|
        draft = Basalt::Change::Draft.new(set)
        finding.repair.changes.each { |change| draft.apply(change) }
        moved = draft.element(finding.subjects.first)
        assert_empty elevation(draft).in_the_way(moved, moved["at unit"])
      end
    end
  end

  def test_what_is_pushed_makes_room_and_keeps_its_order
    pushes = 0
    SEEDS.times do |seed|
      random = Random.new(seed)
      set = model(text(random, tidy: true))
      racked = elevation(set)
      thing = racked.mounted.sample(random:) or next
      unit = random.rand(1..racked.height)
      direction = [1, -1].sample(random:)
      units = begin
        racked.pushed(thing, unit, direction)
      rescue Mistake => e
        assert_match(/in the way|does not fit/, e.message)
        next
      end
      draft = Basalt::Change::Draft.new(set)
      units.each { |id, to| draft.apply(Basalt::Change::Set.new(id:, fact: "at unit", value: to)) }
      assert_empty elevation(draft).overlaps, "seed #{seed}"
      assert_empty elevation(draft).beyond
      assert_equal unit, draft.element(thing.id)["at unit"]
      pushes += 1 if units.length > 1
    end
    assert_operator pushes, :>, 5
  end

  def test_several_that_are_in_the_way_go_on_one_after_the_other
    lines = ["rack R1 12U", "server tall in R1, 3U", "server a in R1 at U4", "server b in R1 at U5", "server c in R1 at U6"]
    set = model([*lines, "server d in R1 at U8, 2U"].join("\n"))
    units = ->(unit, direction) do
      elevation(set).pushed(set.named("tall").first, unit, direction).transform_keys { |id| set.element(id).name }
    end
    assert_equal({ "tall" => 4, "a" => 7, "b" => 8, "c" => 9, "d" => 10 }, units.(4, 1))
    assert_equal({ "tall" => 4, "c" => 3, "b" => 2, "a" => 1 }, units.(4, -1))
    assert_match(/d is in the way, and there is no room for it further up in R1/, assert_raises(Mistake) { units.(9, 1) }.message)
  end

  def test_racks_and_what_stands_in_them_come_back_from_their_reading
    SEEDS.times do |seed|
      set = model(text(Random.new(seed)))
      assert_equal facts(set), facts(model(reading(set))), "seed #{seed}"
    end
  end

  def test_everything_stands_where_its_units_are_and_a_drop_there_alters_nothing
    SEEDS.times do |seed|
      set = model(text(Random.new(seed), tidy: true), tidy: true)
      geometry = set.sheet_list.first.notation.geometry(set, set.sheet_list.first.id)
      frame = geometry.places.fetch(rack(set).id)
      elevation(set).mounted.each do |thing|
        at = geometry.places.fetch(thing.id)
        assert_operator at[:y], :>=, frame[:y]
        draft = Basalt::Change::Draft.new(set)
        geometry.dropped(thing.id, at[:x], at[:y]).each { |change| draft.apply(change) }
        assert_empty draft.effect.deltas, "seed #{seed} #{thing.name}"
      end
    end
  end

  # What was worked out before an act is taken over where it still holds: places and drawings are those worked out afresh.
  ACTS = [
    ->(r) { "s-#{r.rand(4)} in R#{r.rand(1..3)} at U#{r.rand(1..12)}" },
    ->(r) { "s-#{r.rand(4)} in Hall" },
    ->(r) { "server s-#{r.rand(4)}, #{r.rand(1..3)}U" },
    ->(r) { "server t-#{r.rand(99)} in R#{r.rand(1..3)}" },
    ->(r) { "server u-#{r.rand(99)}" },
    ->(r) { "rack R#{r.rand(1..3)} in Hall, #{r.rand(6..14)}U" },
    ->(r) { "rename s-#{r.rand(4)} to s-#{r.rand(4)}" },
    ->(r) { "take s-#{r.rand(4)} off" },
    ->(r) { "remove s-#{r.rand(4)}" },
    ->(r) { "rack units from #{%w[below above].sample(random: r)}" }
  ].freeze

  def test_places_followed_through_any_acts_are_those_worked_out_afresh
    racks = (1..3).map { |n| "rack R#{n} in Hall, 12U" } + (0..3).map { |n| "server s-#{n} in R#{(n % 3) + 1} at U#{(n * 2) + 1}" }
    20.times do |seed|
      random = Random.new(seed)
      set = model(["project P", "room Hall", "sheet S: rack", *racks].join("\n"))
      sheet = set.sheet_list.first.id
      25.times do
        draft = Basalt::Change::Draft.new(set)
        Basalt::Statements::Document.new("sheet S: rack\n#{ACTS.sample(random:).call(random)}").into(draft)
        Basalt::Drawing::Arranger.new(draft, sheet).follow
        assert_equal afresh(draft, sheet), followed(draft, sheet), "seed #{seed}"
        set.advance(draft.effect)
        assert_equal afresh(set, sheet), followed(set, sheet), "seed #{seed}"
      rescue Basalt::Mistake, Basalt::Change::Conflict
        next
      end
    end
  end

  def followed(set, sheet) = Basalt::Drawing::Geometry.of(set, sheet).then { |one| [one.places, faces(one)] }
  def afresh(set, sheet) = set.sheets[sheet].notation.geometry(set, sheet).then { |one| [one.places, faces(one)] }
  def faces(geometry) = geometry.faces.transform_values { |face| [face.sums, face.elevation.things.map(&:name)] }

  def test_a_drop_snaps_to_units_and_what_it_meets_goes_away_from_it
    set = model("project P\nsheet S: rack\nrack R1 10U\nserver a in R1 at U5\nserver b\nserver c in R1", tidy: true)
    geometry = set.sheet_list.first.notation.geometry(set, set.sheet_list.first.id)
    at = geometry.places.fetch(set.named("a").first.id)
    moved = ->(name, x, y) do
      draft = Basalt::Change::Draft.new(set)
      geometry.dropped(set.named(name).first.id, x, y).each { |change| draft.apply(change) }
      %w[a b c].map { |one| draft.named(one).first["at unit"] }
    end
    assert_equal [6, 5, nil], moved.("b", at[:x] + 3, at[:y] + 4)
    assert_equal [4, 5, nil], moved.("b", at[:x] + 3, at[:y] - 4)
    assert_equal [5, 1, nil], moved.("b", at[:x], at[:y] + 81)
    assert_equal [nil, nil, nil], moved.("a", at[:x] + 2000, at[:y])
    assert_equal([3, 3], geometry.sized(set.named("a").first.id, 100, 61).map(&:value))
  end

  def test_where_a_thing_of_some_height_would_fit_is_told_over_all_racks_of_a_room
    set = model(<<~TEXT)
      room Hall
      room Store
      rack R1 in Hall, 10U
      rack R2 in Hall, 6U
      rack R3 in Store, 20U
      server a in R1 at U5, 2U
    TEXT
    fits = ->(place, height) { Racks::Rooms.new(set, place && set.named(place).first).fitting(height).map { |fit| [fit.rack.name, fit.unit, fit.gap] } }
    assert_equal [["R1", 1, 4], ["R2", 1, 6]], fits.("Hall", 4)
    assert_equal [["R2", 1, 6], ["R3", 1, 20]], fits.(nil, 5)
    assert_empty fits.("Hall", 7)
  end

  def test_what_is_known_is_moved_without_its_noun
    set = model("rack R1 10U\nrack R2 10U\nserver a in R1 at U2\nrack R2\na in R2 at U7, 2U, half depth")
    assert_equal(["R2", 7, 2, true], set.named("a").first.then { |one|
      [set.element(one.container_id).name, *one.facts.values_at("at unit", "height", "half depth")]
    })
  end

  def test_what_cannot_be_is_refused_or_found
    refused = ->(line) { assert_raises(Mistake) { model("room Hall\nrack R1 4U\n#{line}") }.message }
    assert_match "Hall is a room: only in a rack is anything at a unit", refused.("server a in Hall at U3")
    assert_match(/at U is a whole number from 1 to 60/, refused.("server a in R1 at U0"))
    assert_match "does-not-fit", ids_of(model("rack R1 4U\nserver a in R1 at U1, 9U")).join(" ")
    set = model("rack R1 4U\nserver a in R1 at U2\nserver b in R1, 3U")
    assert_equal %w[gap-too-small], ids_of(set).grep(/gap|fit|overlap/)
  end
end
