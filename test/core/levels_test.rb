# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"
require_relative "../support/generated_network"

# A physical sheet begun from a logical one, and the other way round.
class LevelsTest < Minitest::Test
  include CoreHelper

  SEEDS = 6

  # @return [Array(Basalt::Model::WorkingSet, Integer)] the model with the sheet, and how much was made
  def begun(set, from, work, notation)
    draft = Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    id = draft.new_id
    draft.apply(Basalt::Change::AddSheet.new(name: "Begun #{id}", notation:, id:))
    made = work.new(draft, set.sheet_list.find { |sheet| sheet.name == from }.id, id).apply
    [set.advance(draft.effect), made, id]
  end

  def wired(set, from) = begun(set, from, Basalt::Network::Cabling::FirstWiring, "physical network")
  def addressed(set, from) = begun(set, from, Basalt::Network::FirstSubnets, "logical network")
  def disagreeing(set) = findings(set).select { |one| one.id == "logical-disagrees" }.map(&:message)

  def test_what_stands_on_one_subnet_is_cabled_together_and_once
    SEEDS.times do |seed|
      set = model(GeneratedNetwork.new(seed).text)
      name = set.sheet_list.first.name
      before = ids_of(set)
      set, made, id = wired(set, name)
      assert_operator made, :>, 0, "seed #{seed}"
      assert_empty disagreeing(set), "seed #{seed}"
      assert_empty ids_of(set) & (%w[port-used-twice medium-does-not-fit speed-does-not-fit cable-to-itself] - before)
      assert(set.of_kind("link").last(made).all? { |cable| cable["planned"] })
      assert_equal set.things_on(set.sheet_list.first.id).reject { |one| one.kind == "subnet" }.map(&:id) - set.things_on(id).map(&:id), []
      assert_equal 0, wired(set, name)[1], "seed #{seed}: once more"
    end
  end

  def test_ports_are_proposed_where_there_are_some_and_vlans_are_kept
    set = model(<<~TEXT)
      project P
      sheet L: logical network
      subnet Plant 10.1.0.0/24, vlan 40
      subnet Office 10.2.0.0/24, vlan 50
      switch sw, ports 1-4 copper 1G
      router r, ports lan1-lan2 copper 1G
      server s, ports eth0 copper 1G
      sensor far
      sw on Plant at .2
      r on Plant at .1, gateway
      r on Office at .1, gateway
      s on Plant at .9
      far on Office at .9
    TEXT
    set, made, = wired(set, "L")
    assert_equal 4, made
    told = set.of_kind("link").flat_map { |cable| Basalt::Statements::Unparser.new(set).tell(cable) }
    assert_equal(
      ["r lan1 to sw 1, copper 1G, planned", "sw 1 carries vlan 40 tagged 50", "s eth0 to sw 2, copper 1G, planned",
       "sw 2 carries vlan 40"],
      told.first(4).map { |line| line.sub(", planned, copper 1G", ", copper 1G, planned") }
    )
    assert_empty disagreeing(set)
  end

  def test_where_no_switch_is_known_one_is_assumed
    set, made, id = wired(model(<<~TEXT), "L")
      sheet L: logical network
      subnet Plant 10.1.0.0/24
      server a on Plant at .1
      server b on Plant at .2
      server c on Plant at .3
    TEXT
    assert_equal 3, made
    assert_equal([["Plant switch", true]], set.things_on(id).select { |one| one["role"] == "switch" }.map { |one| [one.name, one.assumed] })
  end

  def test_what_lies_between_is_shown_on_the_one_level_and_left_out_on_the_other
    set = model(<<~TEXT)
      sheet L: logical network
      subnet Plant 10.1.0.0/24
      server a on Plant at .1
      server b on Plant at .2
      sheet W: physical network
      switch sw, ports 1-4 copper 1G
      switch far, ports 1-4 copper 1G
      server a
      server b
      a to sw 1, copper
      b to sw 2, copper
      far 1 to sw 3, copper
    TEXT
    set, made, id = wired(set, "L")
    assert_equal [0, %w[a b sw]], [made, set.things_on(id).map(&:name).sort]
    set, _, id = addressed(set, "W")
    assert_equal %w[Plant a b], set.things_on(id).map(&:name).sort
  end

  def test_what_is_plugged_in_gets_a_subnet_and_once
    SEEDS.times do |seed|
      set, made, id = addressed(model(GeneratedCabling.new(seed).text), "Wires")
      hosts = set.of_kind("device").select { |one| one["role"] == "server" }
      assert_equal hosts.length, made, "seed #{seed}"
      assert(set.things_on(id).one? { |one| one.kind == "subnet" && one.assumed })
      assert_empty disagreeing(set)
      assert_equal 0, addressed(set, "Wires")[1]
    end
  end

  def test_vlans_of_ports_become_subnets_or_find_theirs
    set = model(<<~TEXT)
      subnet Office 10.2.0.0/24, vlan 50
      sheet W: physical network
      switch sw, ports 1-9 copper 1G
      server a, ports eth0 copper 1G
      server b, ports eth0 copper 1G
      a eth0 to sw 1, copper 1G
      sw 1 carries vlan 40
      b eth0 to sw 2, copper 1G
      sw 2 carries vlan 50
    TEXT
    set, made, = addressed(set, "W")
    assert_equal 2, made
    assert_equal([["a", "VLAN 40"], %w[b Office]], set.of_kind("attachment").map { |one|
      one.targets.map { |target|
        set.element(target).name
      }
    })
    assert_empty disagreeing(set)
  end
end
