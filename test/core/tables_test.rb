# frozen_string_literal: true

require_relative "../support/core_helper"

# Tables of the model, overlays over them and pinned versions of them, against a plain hash of rows.
class TablesTest < Minitest::Test
  Row = Basalt::Value.of(:id, :name, :ordinal)
  INDEXES = { name: ->(row) { row.name ? [row.name] : [] } }.freeze
  NAMES = ["a", "ab", "Abc", "abd", "b", "Ba", "ba", "é", nil].freeze

  def row(random) = Row.new(id: "id#{random.rand(12)}", name: NAMES.sample(random:), ordinal: random.rand(99))

  def agree(plain, table, message)
    by_name = plain.values.group_by(&:name)
    assert_equal plain.values.sort_by(&:id), table.each.to_a.sort_by(&:id), message
    assert_equal plain.length, table.size, message
    NAMES.compact.each { |name| assert_equal by_name.fetch(name, []).map(&:id).sort, table.ids_by(:name, name).sort, message }
    NAMES.compact.each { |name| assert_equal by_name.fetch(name, []).sort_by(&:id), table.by(:name, name).sort_by(&:id), message }
    NAMES.compact.each do |name|
      found = []
      table.each_by(:name, name) { |row| found << row }
      assert_equal table.by(:name, name), found, message
    end
    ["", "a", "ab", "b", "x"].each do |prefix|
      begins = by_name.keys.compact.select { |name| name.downcase.start_with?(prefix) }
      assert_equal begins.sort, table.keys_beginning(:name, prefix, 99).sort, "#{message}: #{prefix}"
    end
  end

  def alter(random, plain, table)
    if random.rand(3).zero?
      id = "id#{random.rand(12)}"
      plain.delete(id)
      table.delete(id)
    else
      fresh = row(random)
      plain[fresh.id] = fresh
      table.put(fresh)
    end
  end

  def test_a_table_and_an_overlay_answer_as_a_plain_hash_would
    40.times do |seed|
      random = Random.new(seed)
      table = Basalt::Model::Table.new(INDEXES)
      plain = {}
      table.keys_beginning(:name, "a", 3)
      20.times { |step| alter(random, plain, table).then { agree(plain, table, "#{seed}, #{step}") } }
      over = plain.dup
      overlay = Basalt::Model::Overlay.new(table)
      20.times { |step| alter(random, over, overlay).then { agree(over, overlay, "#{seed}, over, #{step}") } }
      agree(plain, table, "#{seed}, beneath")
    end
  end

  # What is pinned stays, whatever is done beneath.
  def test_a_pinned_table_stays_as_it_was
    40.times do |seed|
      random = Random.new(seed)
      table = Basalt::Model::Table.new(INDEXES)
      plain = {}
      12.times { alter(random, plain, table) }
      pinned = Basalt::Model::PinnedTable.new(table, Mutex.new)
      before = plain.dup
      25.times do |step|
        ids = Array.new(12) { |n| "id#{n}" }
        ids.each { |id| pinned.keep(id, table[id]) }
        alter(random, plain, table)
        agree(before, pinned, "#{seed}, #{step}")
        ids.each { |id| before[id].nil? ? assert_nil(pinned[id]) : assert_equal(before[id], pinned[id]) }
      end
      agree(plain, table, "#{seed}, beneath")
    end
  end

  Placement = Basalt::Model::Placement

  # On two sheets, of three elements, some once more.
  def placement(random, known)
    id = "p#{random.rand(10)}"
    was = known[id]
    return was.with(x: random.rand(99)) if was && random.rand(2).zero?

    shape = [nil, { "again" => true }, { "closed" => true }].sample(random:)
    Placement.new(id:, sheet_id: "s#{random.rand(2)}", element_id: "e#{random.rand(3)}", shape:, ordinal: random.rand(99))
  end

  # One at most is known by a key on a sheet.
  def stand(random, known, table)
    id = "p#{random.rand(10)}"
    return known.delete(id).tap { table.delete(id) } if random.rand(4).zero?

    fresh = placement(random, known)
    others = known.values.select { |one| one.id != fresh.id && one.sheet_id == fresh.sheet_id && one.key == fresh.key }
    others.each { |one| known.delete(one.id).tap { table.delete(one.id) } }
    known[fresh.id] = fresh
    table.put(fresh)
  end

  def stands_as(known, table, message)
    by_sheet = known.values.group_by(&:sheet_id)
    keys = ["e0", "e1", "e2", *known.keys]
    %w[s0 s1].product(keys).each do |sheet_id, key|
      assert_same known.values.find { |one| one.sheet_id == sheet_id && one.key == key }, table.at(sheet_id, key), "#{message}: #{key}"
    end
    %w[s0 s1].each { |id| assert_equal by_sheet.fetch(id, []).map(&:id).sort, table.ids_by(:sheet, id).sort, message }
    closed = known.values.select(&:closed?).map(&:sheet_id).uniq
    %w[s0 s1].each { |id| assert_equal closed.include?(id), table.any_by?(:closed, id), message }
    again = known.values.select(&:again?).group_by(&:element_id)
    %w[e0 e1 e2].each { |id| assert_equal again.fetch(id, []).map(&:id).sort, table.ids_by(:again, id).sort, message }
  end

  def test_placements_are_found_by_sheet_and_key_however_they_came_there
    60.times do |seed|
      random = Random.new(seed)
      table = Basalt::Model::RowTypes.of(:placements).empty
      known = {}
      20.times { |step| stand(random, known, table).then { stands_as(known, table, "#{seed}, #{step}") } }
      pinned = Basalt::Model::PinnedTable.new(table, Mutex.new)
      before = known.dup
      over = known.dup
      overlay = Basalt::Model::Overlay.new(table)
      20.times { |step| stand(random, over, overlay).then { stands_as(over, overlay, "#{seed}, over, #{step}") } }
      known.each_key { |id| pinned.keep(id, table[id]) }
      12.times { |n| pinned.keep("p#{n}", table["p#{n}"]) }
      20.times { stand(random, known, table) }
      stands_as(before, pinned, "#{seed}, pinned")
    end
  end
end
