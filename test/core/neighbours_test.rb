# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"

# Tables of neighbours against the plan: what they prove is taken, what contradicts it is told, and half a table is none.
class NeighboursTest < Minitest::Test
  include CoreHelper

  Cabling = Basalt::Network::Cabling

  def entry(port, far, far_port, type: "ifname")
    { name: port, via: "LLDP", chassis: [{ name: [{ value: far }] }],
      port: [{ id: [{ type:, value: far_port }], descr: [{ value: far_port }] }] }
  end

  def table(*entries) = JSON.generate(lldp: [{ interface: entries }])
  def compared(set, unit, *entries) = Cabling::Neighbours.new(set, set.named(unit).first, table(*entries))

  # What every unit would see of a wiring agrees with it; seen in a plan without cables, all of them come of it.
  def test_what_units_see_agrees_and_makes_the_whole_wiring
    15.times do |seed|
      text = GeneratedCabling.new(seed).text
      set = model(text)
      bare = Change::Draft.new(model(text), ids: -> { SecureRandom.uuid })
      bare.of_kind("link").each { |cable| Change::Remove.new(id: cable.id).apply(bare) }
      set.of_kind("device").each do |unit|
        seen =
          Cabling::CableEnds.of(set, unit.id).map do |one|
            far = one.others.first
            entry(one.label, "#{set.element(far.target_id).name}.tarnwater.example", far.facts["port"])
          end
        assert_equal [:agrees], (compared(set, unit.name, *seen).rows.map(&:verdict).uniq | [:agrees])
        Cabling::Neighbours.new(bare, bare.named(unit.name).first, table(*seen)).into(bare)
      end
      ends = ->(model) do
        model.of_kind("link").map { |cable| cable.ends.map { |one| [model.element(one.target_id).name, one.facts["port"]] }.sort }.sort
      end
      assert_equal ends.(set), ends.(bare), "seed #{seed}"
    end
  end

  PLAN = <<~TEXT
    project P
    switch s, ports 1-8
    server a
    server b
    server c
    s 1 to a e0
    s to b
    s 3 to c e0
  TEXT

  def test_what_is_open_is_filled_in_and_what_contradicts_is_left
    set = model(PLAN)
    neighbours =
      compared(
        set,
        "s",
        entry("1", "a", "e0"),
        entry("2", "b", "e0", type: "local"),
        entry("3", "a", "e1"),
        entry("4", "b", "e1"),
        entry("5", "c", "e0"),
        entry("6", "nobody", "e0")
      )
    assert_equal %i[agrees completes contradicts adds contradicts unknown], neighbours.rows.map(&:verdict)
    assert_equal "the plan has s 3 to c e0", neighbours.rows[2].words
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    assert_equal 2, neighbours.into(draft)
    cables = draft.of_kind("link").sort_by(&:ordinal).map { |cable| cable.ends.map { |one| one.facts["port"] } }
    assert_equal [%w[1 e0], %w[2 e0], %w[3 e0], %w[4 e1]], cables
    refute_includes Checks::Runner.new(draft).findings.map(&:id), "port-used-twice"
  end

  def test_half_a_table_or_none_is_refused_with_its_place
    set = model(PLAN)
    whole = table(entry("1", "a", "e0"), entry("2", "b", "e0"))
    {
      whole[0, whole.length - 20] => /not JSON, or only the beginning of it/,
      "" => /not JSON/,
      "[1]" => /no table of neighbours/,
      '{"lldp":[1]}' => /no table of neighbours/,
      '{"lldp":[{"interface":[{"name":3}]}]}' => /neighbour 1 is no interface with a name/,
      table(entry("1", "a", "e0"), { name: "9" }) => /neighbour 2, at 9, does not say what it is called/,
      "#{"[" * 60}#{"]" * 60}" => /nested too deeply/,
      " " * 2_000_001 => /larger|more than|at most/
    }.each { |bytes, message| assert_match message, assert_raises(Mistake) { Cabling::Neighbours.new(set, set.named("s").first, bytes) }.message }
    assert_empty Cabling::Neighbours.new(set, set.named("s").first, '{"lldp":[{}]}').rows
  end
end
