# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_landscape"

# Takes one packet and its answer from hop to hop, rule by rule: nothing is put into classes, and no set of ports is worked out.
class PacketWalker
  ANSWERS = 1024..65_535

  def initialize(landscape)
    @scape = landscape
  end

  # @param from [Interface, Addresses::Address]
  # @param to [Interface, Addresses::Address]
  def pass?(from, to, protocol, port)
    return false unless grouped?(from, "out", to, protocol, port) && grouped?(to, "in", from, protocol, port)
    return true if inside?(from) && inside?(to) && from.subnet_id == to.subnet_id

    asked = hops(from, to) or return false
    crossed?(asked, from, to, protocol, port) && answered?(from, to, protocol)
  end

  private

  def inside?(one) = one.respond_to?(:subnet_id)
  def address(one) = inside?(one) ? one.address : one
  def subnet(one) = @scape.subnets.fetch(one.subnet_id)
  def network(one) = @scape.networks.fetch(subnet(one).network_id)

  def answered?(from, to, protocol)
    way = answer_hops(from, to) or return false
    asked = %w[tcp udp].include?(protocol) ? [ANSWERS.first, 5432, 8080, ANSWERS.last] : [0]
    asked.all? { |port| crossed?(way, to, from, protocol, port) }
  end

  # Subnets that are left and entered, as pairs of direction and subnet.
  def hops(from, to)
    return entered(from, to) unless inside?(from)
    return left(from, to) unless inside?(to)

    there, back = target(from, to), target(to, from)
    joined = there.intersect?(back) && (there & back).any? { |way| way == :local || joins?(way, from, to) }
    [["out", subnet(from)], ["in", subnet(to)]] if joined
  end

  def answer_hops(from, to) = hops(from, to)&.map { |direction, subnet| [direction == "in" ? "out" : "in", subnet] }
  def joins?(id, from, to) = @scape.peerings.key?(id) && [from, to].all? { |one| @scape.peerings[id].network_ids.include?(network(one).id) }

  def entered(from, to)
    gate = target(to, from).any? { |id| @scape.gateways[id]&.then { |one| one.sort == "internet" && one.network_id == network(to).id } }
    [["in", subnet(to)]] if to.open && gate
  end

  def left(from, to)
    target(from, to).filter_map { |id| @scape.gateways[id] }.each do |gate|
      return [["out", subnet(from)]] if gate.sort == "internet" && from.open && gate.network_id == network(from).id
      next unless gate.sort == "translation"

      own = @scape.subnets.fetch(gate.subnet_id)
      next unless next_hops(own, to).any? { |id| @scape.gateways[id]&.sort == "internet" }

      return own.id == from.subnet_id ? [["out", own]] : [["out", subnet(from)], ["in", own], ["out", own]]
    end
    nil
  end

  def target(from, to) = next_hops(subnet(from), to)

  def next_hops(subnet, to)
    local = @scape.networks.fetch(subnet.network_id).prefixes.select { |prefix| prefix.cover?(address(to)) }.map(&:length).max
    routes = subnet.table_id ? @scape.tables.fetch(subnet.table_id).routes : []
    best = routes.select { |prefix, _| prefix.cover?(address(to)) }.max_by { |prefix, _| prefix.length }
    return [best[1]].compact if best && (local.nil? || best[0].length > local)
    return inside?(to) && network(to).id == subnet.network_id ? [:local] : [] if local
    return [] if subnet.table_id

    inside?(to) ? @scape.peerings.values.select { |one| one.network_ids.include?(subnet.network_id) }.map(&:id) : gates(subnet)
  end

  def gates(subnet) = @scape.gateways.values.select { |one| one.network_id == subnet.network_id }.map(&:id)

  def crossed?(hops, from, to, protocol, port)
    hops.all? do |direction, subnet|
      next true unless subnet.list_id

      remote = direction == "out" ? to : from
      rules = @scape.lists.fetch(subnet.list_id).rules.select { |one| one.direction == direction && applies?(one, remote) }
      rules.find { |one| carries?(one, protocol, port) }&.allows
    end
  end

  def grouped?(one, direction, peer, protocol, port)
    return true if !inside?(one) || one.group_ids.empty?

    rules = one.group_ids.flat_map { |id| @scape.groups.fetch(id).rules }
    rules.any? { |rule| rule.direction == direction && applies?(rule, peer) && carries?(rule, protocol, port) }
  end

  def applies?(rule, peer)
    case rule.peer
    when nil then true
    when String then inside?(peer) && peer.group_ids.include?(rule.peer)
    else rule.peer.cover?(address(peer))
    end
  end

  def carries?(rule, protocol, port) = rule.traffic.include?(Basalt::Cloud::Reach::Traffic.number(protocol, port))
end

class ReachTest < Minitest::Test
  R = Basalt::Cloud::Reach
  ASKED = [["tcp", 21], ["tcp", 22], ["tcp", 80], ["tcp", 443], ["tcp", 1024], ["tcp", 5432], ["tcp", 9000], ["udp", 443], ["udp", 65_535],
           ["icmp", 0],
           ["other", 0]].freeze

  def test_parties_reach_what_single_packets_reach
    60.times do |seed|
      scape = GeneratedLandscape.new(seed).landscape
      analysis = R::Analysis.new(scape)
      walker = PacketWalker.new(scape)
      scape.interfaces.values.repeated_permutation(2) do |from, to|
        reach = analysis.reach(from, to)
        ASKED.each do |protocol, port|
          assert_equal walker.pass?(from, to, protocol, port), reach.include?(R::Traffic.number(protocol, port)),
                       "#{from.id} to #{to.id}, #{protocol} #{port}, seed #{seed}"
        end
      end
    end
  end

  def test_the_internet_reaches_and_is_reached_as_single_packets_are
    60.times do |seed|
      scape = GeneratedLandscape.new(seed).landscape
      analysis = R::Analysis.new(scape)
      walker = PacketWalker.new(scape)
      scape.interfaces.each_value do |inner|
        analysis.outside.select { |party, _| party.version == 4 }.each do |party, address|
          [[party, analysis.party(inner), address, inner], [analysis.party(inner), party, inner, address]].each do |from, to, one, other|
            reach = analysis.between(from, to).apart
            ASKED.each do |protocol, port|
              assert_equal walker.pass?(one, other, protocol, port), reach.include?(R::Traffic.number(protocol, port)),
                           "#{one.inspect} to #{other.inspect}, #{protocol} #{port}, seed #{seed}"
            end
          end
        end
      end
    end
  end

  # The steps that are told end where packets do.
  def test_a_trace_passes_where_packets_pass_and_names_one_step_that_stops_them
    20.times do |seed|
      analysis = R::Analysis.new(GeneratedLandscape.new(seed).landscape)
      parties = analysis.members.keys + analysis.outside.keys
      parties.product(parties).each do |from, to|
        next if from.outside? && to.outside?

        passage = analysis.between(from, to)
        ASKED.each do |protocol, port|
          number = R::Traffic.number(protocol, port)
          [[passage.apart, false], *([[passage.together, true]] unless from.outside? || to.outside?)].each do |traffic, together|
            trace = R::Trace.new(analysis, from, to, number, together:)
            assert_equal traffic.include?(number), trace.passes?, "#{from} #{to} #{protocol} #{port} #{together}, seed #{seed}"
            assert_operator trace.steps.count { |step| !step.passes }, :<=, 1
          end
        end
      end
    end
  end

  def test_sets_of_ports_are_sets
    random = Random.new(3)
    numbers = [0, 1, 22, 23, 1023, 1024, 65_535, 65_536, 131_071, 131_072, 131_073]
    made = -> { R::Traffic.new(Array.new(random.rand(0..4)) { numbers.sample(2, random:).sort.then { |low, high| low..high } }) }
    300.times do
      one, other = made.call, made.call
      numbers.each do |n|
        assert_equal one.include?(n) || other.include?(n), (one | other).include?(n)
        assert_equal one.include?(n) && other.include?(n), (one & other).include?(n)
        assert_equal one.include?(n) && !other.include?(n), (one - other).include?(n)
      end
      assert_equal one, one.complement.complement
      assert_equal (other - one).empty?, one.cover?(other)
    end
    assert_equal "tcp 22, 8000-8010; icmp", (R::Traffic.of("tcp", 22..22) | R::Traffic.of("tcp", 8000..8010) | R::Traffic.of("icmp")).to_s
  end
end
