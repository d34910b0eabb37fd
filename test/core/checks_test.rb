# frozen_string_literal: true

require_relative "../support/core_helper"

# Each finding: a true case, silent near misses, and a repair that clears it and raises no other.
class ChecksTest < Minitest::Test
  include CoreHelper

  NET = "sheet S: logical network\nrouter gw\nsubnet N 10.0.0.0/24\ngw on N at .1, gateway\nserver a\nserver b\n"

  # finding => [text that has it, texts that nearly do]
  CASES = {
    "address-used-twice" => [
      "#{NET}a on N at .5\nb on N at .5",
      [
        "#{NET}a on N at .5\nb on N at .6",
        "#{NET}router g2\ngw on N at .2\ng2 on N at .3\ngateway shared by gw, g2 on N at .1",
        "#{NET}router g2\ng2 on N at .1\ngateway shared by gw, g2 on N at .1",
        "#{NET}subnet M 10.0.0.0/24, space lab\na on N at .5\nb on M at .5\ngw on M at .1, gateway"
      ]
    ],
    "address-outside-subnet" => [
      "#{NET}a on N at 10.0.1.5",
      ["#{NET}a on N at 10.0.0.254", "#{NET}subnet Six fd00::/64\ngw on Six at ::1, gateway\na on Six at ::ffff"]
    ],
    "reserved-address" => [
      "#{NET}a on N at .255",
      [
        "#{NET}a on N at .254",
        "sheet S: logical network\nsubnet P 10.0.0.0/31\nrouter a\nrouter b\na on P at .0\nb on P at .1",
        "sheet S: logical network\nsubnet L 10.0.0.7/32, isolated\nrouter a\na on L at .7",
        "sheet S: logical network\nsubnet Six fd00::/64\nrouter a\na on Six at ::ffff:ffff:ffff:ffff, gateway"
      ]
    ],
    "subnets-overlap" => [
      "#{NET}subnet M 10.0.0.128/25, isolated\na on M at .130",
      [
        "#{NET}subnet M 10.0.0.128/25, isolated, part of N\na on M at .130",
        "#{NET}subnet M 10.0.0.128/25, isolated, space lab\na on M at .130",
        "#{NET}subnet M 10.0.1.0/24, isolated\na on M at .130",
        "#{NET}subnet Mid 10.0.0.0/25, part of N, isolated\nsubnet In 10.0.0.0/26, part of Mid, isolated\na on Mid at .9\nb on In at .8"
      ]
    ],
    "name-used-twice" => ["#{NET}router a", ["#{NET}site a", "site X\nsite Y\nroom R in X\nroom R in Y", "#{NET}server A"]],
    "no-gateway" => [
      "sheet S: logical network\nrouter gw\nsubnet N 10.0.0.0/24\ngw on N at .1",
      [
        "#{NET}a on N at .2",
        "sheet S: logical network\nsubnet N 10.0.0.0/24, isolated\nserver a\na on N at .2",
        "sheet S: logical network\nsubnet N 10.0.0.0/30\nrouter a\nrouter b\na on N at .1\nb on N at .2",
        "sheet S: logical network\nsubnet N 10.0.0.0/24",
        "sheet S: logical network\nsubnet N 10.0.0.0/24\nrouter a\nrouter b\na on N at .2\nb on N at .3\ngateway shared by a, b on N at .1"
      ]
    ],
    "address-missing" => ["#{NET}a on N", ["#{NET}a on N at .9"]],
    "nothing-attached" => [
      "#{NET}subnet M 10.1.0.0/24",
      ["#{NET}subnet M 10.4.0.0/16\nsubnet In 10.4.4.0/24, part of M, isolated\na on In at .4"]
    ],
    "single-way-out" => [
      "#{NET}a on N at .2\ngw to internet\ninternet",
      [
        "#{NET}a on N at .2",
        "#{NET}a on N at .2\ninternet\nprovider P\nrouter g2\ng2 on N at .3\ngw to internet\ng2 to P",
        "#{NET}internet\nswitch s\ngw to internet, circuit 1G, label one\ngw to internet, circuit 2G, label two"
      ]
    ]
  }.freeze

  CASES.each do |id, (text, near)|
    define_method("test_#{id.tr("-", "_")}_is_found") { assert_includes ids_of(model(text)), id }

    near.each_with_index do |silent, index|
      define_method("test_#{id.tr("-", "_")}_is_silent_#{index}") do
        found = findings(model(silent)).select { |f| f.id == id }
        assert_empty found.map(&:message)
      end
    end

    define_method("test_#{id.tr("-", "_")}_is_mended_without_raising_another") do
      set = model(text)
      found = findings(set).select { |f| f.id == id && f.repair }
      found.each do |finding|
        mended = Basalt::Change::Draft.new(set).apply(finding.repair.changes)
        after = findings(mended).map(&:key)
        refute_includes after, finding.key
        assert_empty after - findings(set).map(&:key)
      end
      refute_empty found unless id == "single-way-out"
    end
  end

  def test_errors_alone_are_those_among_all_findings
    sample = model(File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__)))
    [sample, *CASES.values.map { |text, _| model(text) }].each do |set|
      assert_equal findings(set).select(&:error?).map(&:key).sort, Basalt::Checks::Runner.new(set).errors.map(&:key).sort
    end
  end

  def test_what_is_cut_off_is_named_and_subnets_are_never_blamed
    set =
      model(
        "#{NET}internet\nfirewall fw\nsubnet T 10.9.0.0/29\ngw to internet, circuit 1G\ngw on T at .1, gateway\nfw on T at .2\nserver c\n" \
        "subnet In 10.8.0.0/24\nfw on In at .1, gateway\nc on In at .2\na on N at .2"
      )
    cut = findings(set).select { |f| f.id == "single-way-out" }.to_h { |f| [f.message, f.why] }
    assert_equal ["The 1G circuit from gw to internet is a single way out", "fw is a single way out", "gw is a single way out"],
                 cut.keys.sort
    assert_equal "Without it c loses the outside.", cut["fw is a single way out"]
  end

  def test_a_server_on_two_subnets_carries_nothing_on
    set =
      model(
        "sheet S: logical network\ninternet\nrouter r\nserver s\nserver far\nsubnet A 10.1.0.0/24\nsubnet B 10.2.0.0/24\nr to internet, " \
        "circuit 1G\n" \
        "r on A at .1, gateway\ns on A at .2\ns on B at .2\nfar on B at .3"
      )
    assert_equal ["Without it s loses the outside."], findings(set).select { |f| f.message == "r is a single way out" }.map(&:why)
  end

  def test_single_ways_out_agree_with_trying_each_loss
    20.times do |seed|
      set = model(GeneratedNetwork.new(seed, subnets: 4, things: 3).text)
      told = Basalt::Network::WaysOut.new(set).single.transform_values(&:sort).reject { |_, cut| cut.empty? }
      assert_equal by_trying(set), told.transform_keys { |id| id }, "seed #{seed}"
    end
  end

  def test_only_checks_that_read_what_was_touched_run_again
    set = model("#{NET}a on N at .5\nb on N at .5")
    known = Basalt::Checks::Runner.new(set).by_check
    again = Basalt::Checks::Runner.new(set, known:).by_check(Basalt::Checks::Touched.new(kinds: ["entity"]))
    again.each { |check, found| assert_same known[check], found unless check.reads.include?("entity") }
  end

  def test_free_and_used_addresses_are_counted
    set = model("#{NET}a on N at .5\nb on N at .255")
    plan = Basalt::Network::Addressing.new(set)
    assert_equal({ used: 2, free: 252 }, plan.counts(set.named("N").first))
    assert_equal "10.0.0.2", plan.next_free(set.named("N").first).to_s
  end

  private

  # The same by brute force: what is reached from the outside with and without each candidate.
  def by_trying(set)
    whole = reached(set, nil)
    candidates =
      set.of_kind("device").select { |d| Basalt::Network::Kinds::FORWARDING.include?(d["role"]) } +
      set.of_kind("link").select { |l| l["circuit"] || l.targets.any? { |id| set.element(id).kind == "outside" } }
    candidates.to_h { |lost| [lost.id, ((whole - reached(set, lost.id)) - [lost.id]).sort] }.reject { |_, cut| cut.empty? }
  end

  def reached(set, lost)
    seen = set.of_kind("outside").map(&:id)
    queue = seen.dup
    until queue.empty?
      here = set.element(queue.shift)
      next if here.kind == "device" && !Basalt::Network::Kinds::FORWARDING.include?(here["role"])

      set
        .relations_of(here.id, "attachment", "link")
        .reject { |line| line.id == lost }
        .flat_map(&:targets)
        .uniq
        .each do |id|
          next if seen.include?(id) || id == lost

          seen << id
          queue << id
        end
    end
    seen.select { |id| set.element(id).kind == "device" }
  end
end
