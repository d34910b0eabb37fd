# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"

# What a unit shows of its ports, how two are compared, and what happens to cables when cards come and go.
class UnitSheetsTest < Minitest::Test
  include CoreHelper

  Cabling = Basalt::Network::Cabling
  Unit = Basalt::Network::Notation::Unit
  SEEDS = 25
  CHASSIS = <<~TEXT
    project P
    model card, ports 1-4 fibre 10G
    model wide card, ports 1-8 fibre 10G
    sheet S: physical network
    switch core, 4 slots, ports 1-2 copper 1G, slot 1 holds card, slot 2 holds card
    switch acc, ports up1-up4 fibre 10G, ports 1-4000 copper 1G
    core 1/3 to acc up1, fibre 10G
    core 2/1 to acc up2, fibre 10G
  TEXT

  def device(set, name) = set.named(name).find { |one| one.kind == "device" }
  def labels(set, unit) = Cabling::CableEnds.of(set, device(set, unit).id).map(&:label)

  def settled(set, *lines)
    draft = say(set, "S", *lines)
    Basalt::Families.settle(draft)
    set.advance(draft.effect)
  end

  def test_a_faceplate_tells_each_port_once_and_what_is_plugged_in
    SEEDS.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      set.of_kind("device").each do |unit|
        ports = Cabling::Ports.of(set, unit)
        sections = Cabling::Faceplate.new(set, unit).sections
        told = sections.flat_map(&:cells).flat_map { |cell| cell.run? ? between(ports, cell) : [cell.first] }
        assert_equal ports.each.map(&:label), told, "seed #{seed}, #{unit.name}"
        assert_equal(Cabling::CableEnds.by_label(set, unit.id), sections.flat_map(&:cells).reject(&:free?).to_h { |cell|
          [cell.first, cell.ends]
        })
        assert_equal Cabling::FreePorts.new(set, unit).count, sections.sum(&:free)
      end
    end
  end

  def between(ports, cell)
    all = ports.each.map(&:label)
    all[all.index(cell.first)..all.index(cell.last)].tap { |run| assert_equal cell.count, run.length }
  end

  def test_a_unit_with_thousands_of_ports_is_drawn_with_few_cells
    set = model(CHASSIS)
    assert_equal([4, 1], Cabling::Faceplate.new(set, device(set, "acc")).sections.map { |section| section.cells.length })
    slots = Cabling::Faceplate.new(set, device(set, "core")).sections.map { |section| [section.slot, section.card] }
    assert_equal [[nil, nil], [1, "card"], [2, "card"], [3, nil], [4, nil]], slots
  end

  def test_two_are_alike_exactly_where_nothing_is_otherwise
    SEEDS.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      set.of_kind("device").combination(2).each do |one, other|
        there, back = [[one, other], [other, one]].map { |pair| Cabling::Comparison.new(set, *pair).differences }
        assert_equal there.map { |each| [each.label, each.here, each.there] }.sort_by(&:first),
                     back.map { |each| [each.label, each.there, each.here] }.sort_by(&:first)
      end
      unit = set.of_kind("device").first
      assert_empty Cabling::Comparison.new(set, unit, unit).differences
    end
  end

  def test_what_is_otherwise_is_named
    set = model(<<~TEXT)
      sheet S: physical network
      switch a, ports 1-4 copper 1G, ports up1 fibre 10G
      switch b, ports 1-4 copper 1G, ports up1 fibre 1G
      server s, ports e0-e1 copper 1G
      server t, ports e0 copper 1G
      a 1 to s e0, copper 1G
      b 1 to s e1, copper 1G
      a 2 to t e0, copper 1G
      a 4 to b 4, copper 1G
    TEXT
    differences = Cabling::Comparison.new(set, device(set, "a"), device(set, "b")).differences
    assert_equal([["up1", "fibre 10G", "fibre 1G"], ["2", "t, copper, 1G", nil]], differences.map { |one|
      [one.label, one.here, one.there]
    })
  end

  def test_a_card_takes_its_cables_to_another_slot_and_back
    there = edited(model(CHASSIS), "slot 2 holds card", "slot 3 holds card")
    assert_equal %w[1/3 3/1], labels(there, "core")
    assert_equal facts(model(CHASSIS)), facts(edited(there, "slot 3 holds card", "slot 2 holds card"))
    assert_equal %w[1/3 3/1], labels(edited(model(CHASSIS), "slot 2 holds card", "slot 3 holds card, slot 2 holds wide card"), "core")
    both = edited(model(CHASSIS), "slot 1 holds card, slot 2 holds card", "slot 3 holds card, slot 4 holds card")
    assert_equal %w[3/3 4/1], labels(both, "core")
    refused = assert_raises(Mistake) { edited(model(CHASSIS), ", slot 2 holds card", "") }
    assert_match %r{core would lose 1 cable, from 2/1 to acc}, refused.message
  end

  # As a person alters the reading.
  def edited(set, before, after)
    sheet_id = set.sheet_list.first.id
    reading = Basalt::Statements::Unparser.new(set).sheet(sheet_id)
    assert(reading.any? { |line| line.include?(before) }, reading.join("\n"))
    patch = Basalt::Statements::ReadingPatch.new(set, sheet_id, reading, reading.map { |line| line.sub(before, after) })
    draft = patch.into(Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid }))
    assert_empty patch.refused
    Basalt::Families.settle(draft)
    set.advance(draft.effect)
  end

  def test_a_card_that_is_taken_away_says_which_cables_would_be_lost
    set = model(CHASSIS)
    refused = assert_raises(Mistake) { settled(set, "remove model card") }
    assert_match %r{core would lose 2 cables, from 1/3 to acc and 2/1 to acc: take them off first}, refused.message
    assert_equal %w[1/3 2/1], labels(settled(set, "switch core, slot 2 holds wide card"), "core")
    assert_match(/core has 4 slots: there is no slot 5/, assert_raises(Mistake) { settled(set, "switch core, slot 5 holds card") }.message)
    assert_match(/core has 1 slot: there is no slot 2/, assert_raises(Mistake) { settled(set, "switch core, 1 slots") }.message)
  end
end
