# frozen_string_literal: true

require_relative "../support/core_helper"

# Logical networks in which nothing is wrong, and one fault planted in each: it is found, and nothing else is.
class NetworkFaultsTest < Minitest::Test
  include CoreHelper

  SEEDS = 25

  # Two routers, each with a way to a provider of its own, both on every subnet.
  def sound(random)
    count = random.rand(2..5)
    lines = ["project Sound", "sheet S: logical network", "provider One", "provider Two", "router r1", "router r2", "r1 to One",
             "r2 to Two"]
    (1..count).each do |n|
      wide = n == 2 ? "fd00:#{n}::/64" : "10.20.#{n}.0/24"
      at = ->(number) { n == 2 ? "::#{number}" : ".#{number}" }
      lines << "subnet net-#{n} #{wide}, vlan #{n + 10}"
      lines << "r1 on net-#{n} at #{at.(2)}" << "r2 on net-#{n} at #{at.(3)}" << "gateway shared by r1, r2 on net-#{n} at #{at.(1)}"
      (1..random.rand(1..5)).each { |host| lines << "server h-#{n}-#{host}" << "h-#{n}-#{host} on net-#{n} at #{at.(host + 10)}" }
    end
    lines << "subnet Loop 10.255.0.1/32" << "r1 on Loop at .1" << "subnet Apart 10.20.99.0/24, isolated" << "server lone" << "lone on " \
                                                                                                                             "Apart at .9"
    lines.join("\n")
  end

  FAULTS = {
    "address-used-twice" => ["server x", "x on net-1 at .11"],
    "address-outside-subnet" => ["server x", "x on net-1 at 10.99.0.4"],
    "reserved-address" => ["server x", "x on net-1 at .255"],
    "address-missing" => ["server x", "x on net-1"],
    "subnets-overlap" => ["subnet Other 10.20.1.0/25", "r1 on Other at .100", "r2 on Other at .101",
                          "gateway shared by r1, r2 on Other at .99"],
    "no-gateway" => ["subnet Other 10.20.50.0/24", "r1 on Other at .1", "r2 on Other at .2"],
    "nothing-attached" => ["subnet Other 10.20.50.0/24"],
    "name-used-twice" => ["router lone"],
    "single-way-out" => ["switch s", "server x", "r1 to s", "r2 to s", "s to x"],
    "cut-off" => ["server x", "server y", "x to y"],
    "gateway-does-not-forward" => ["workstation w", "w on net-1 at .200, gateway"],
    "part-outside-its-whole" => ["subnet Other 10.20.50.0/24, part of net-1", "r1 on Other at .1, gateway", "r2 on Other at .2"],
    "vlan-used-twice" => ["subnet Other 10.20.50.0/24, vlan 11", "r1 on Other at .1, gateway", "r2 on Other at .2"],
    "cable-to-itself" => ["lone 1 to lone 1"],
    "reserved-block" => ["subnet Other 224.1.0.0/16", "r1 on Other at .0.1, gateway", "r2 on Other at .0.2"]
  }.freeze

  def test_planted_faults_are_found_and_nothing_else
    found = Hash.new(0)
    SEEDS.times do |seed|
      set = model(sound(Random.new(seed)))
      assert_empty findings(set).map(&:message), "seed #{seed}"
      FAULTS.each do |id, lines|
        ids = Checks::Runner.new(say(set, "S", *lines)).findings.map(&:id).uniq
        assert_equal [id], ids, "seed #{seed}"
        found[id] += 1
      end
    end
    assert_equal FAULTS.keys.to_h { |id| [id, SEEDS] }, found
  end

  def test_what_is_planned_is_told_from_what_is_there
    text = <<~TEXT
      project P
      sheet S: logical network
      provider One
      provider Two
      router r1
      router r2
      server a
      server b, planned
      switch s
      r1 to One
      r1 to s
      s to a
      s to b
    TEXT
    why = ->(draft, name) { Checks::Runner.new(draft).findings.find { |one| one.id == "single-way-out" && one.message.start_with?(name) } }
    set = model(text)
    assert_equal "Without it a, b and s lose the outside.", why.(set, "r1").why
    draft = say(set, "S", "r2 to Two, planned", "r2 to s, planned")
    assert_equal "Without it a and s lose the outside, until what is planned is there.", why.(draft, "r1").why
    assert_nil why.(say(draft, "S", "r2 to Two, planned", "r2 to a, planned"), "r2")
    draft = say(set, "S", "switch late, planned", "server c", "s to late, planned", "late to c, planned")
    assert_equal "late will be a single way out", why.(draft, "late").message
    assert_equal "Without it c loses the outside, once what is planned is there.", why.(draft, "late").why
  end

  def test_all_that_is_cut_off_is_told_once
    set = model("project P\nsheet S: logical network\ninternet\nrouter r\nr to internet\nswitch s\nserver a\nserver b\ns to a\ns to b")
    finding = findings(set).find { |one| one.id == "cut-off" }
    assert_equal ["s, a and b are cut off from the outside", 3], [finding.message, finding.also.length]
    refute_includes ids_of(model("server a\nserver b\na to b")), "cut-off"
  end
end
