# frozen_string_literal: true

# Networks with subnets, rule groups, lists, routes, peerings and gateways by chance, small enough that every packet can be walked.
class GeneratedLandscape
  R = Basalt::Cloud::Reach
  PORTS = [22, 80, 443, 1023, 1024, 5432, 8080, 65_535].freeze

  def initialize(seed, networks: 2, subnets: 3, interfaces: 12, groups: 4)
    @random = Random.new(seed)
    @counts = { networks:, subnets:, interfaces:, groups: }
  end

  # @return [Basalt::Cloud::Reach::Landscape]
  def landscape = @landscape ||= R::Landscape.new(networks:, subnets:, groups:, lists:, tables:, peerings:, gateways:, interfaces:)

  private

  def pick(list) = list.sample(random: @random)
  def chance(share) = @random.rand < share
  def prefix(text) = Basalt::Addresses.prefix(text)
  def by_id(list) = list.to_h { |one| [one.id, one] }

  def networks
    @networks ||= by_id(Array.new(@counts[:networks]) { |n| R::Network.new(id: "net#{n}", prefixes: [prefix("10.#{n}.0.0/16")]) })
  end

  def subnet_ids = networks.keys.flat_map { |id| Array.new(@counts[:subnets]) { |n| "#{id}-sub#{n}" } }
  def network_of(subnet_id) = subnet_id[/\Anet\d+/]
  def block(subnet_id) = prefix("10.#{subnet_id[/\d+/]}.#{subnet_id[/\d+\z/]}.0/24")

  def subnets
    @subnets ||= by_id(subnet_ids.map do |id|
      R::Subnet.new(id:, network_id: network_of(id), list_id: (pick(%w[list0 list1 list2]) if chance(0.5)),
                    table_id: (pick(%w[table0 table1 table2]) if chance(0.7)))
    end)
  end

  def traffic
    protocol = pick(%w[tcp tcp tcp udp icmp any])
    low = pick(PORTS)
    high = [low, pick(PORTS)].max
    R::Traffic.of(protocol, chance(0.3) ? nil : low..high)
  end

  def peer_block
    pick(["0.0.0.0/0", "10.0.0.0/16", "10.0.0.0/8", "203.0.113.0/24", "203.0.113.128/25", block(pick(subnet_ids)).to_s,
          "10.#{@random.rand(2)}.#{@random.rand(3)}.#{@random.rand(1..6)}/32"]).then { |text| prefix(text) }
  end

  def groups
    @groups ||= by_id(Array.new(@counts[:groups]) do |n|
      R::RuleGroup.new(id: "group#{n}", rules: Array.new(@random.rand(1..5)) do |m|
        R::Rule.new(id: "group#{n}-#{m}", direction: pick(%w[in out]), traffic: chance(0.3) ? R::Traffic::ALL : traffic,
                    peer: pick([nil, peer_block, "group#{@random.rand(@counts[:groups])}"]))
      end)
    end)
  end

  def lists
    by_id(Array.new(3) do |n|
      R::AccessList.new(id: "list#{n}", rules: Array.new(@random.rand(2..7)) do |m|
        R::Rule.new(id: "list#{n}-#{m}", direction: pick(%w[in out]), allows: chance(0.75),
                    traffic: chance(0.5) ? R::Traffic::ALL : traffic,
                    peer: pick([nil, peer_block]))
      end)
    end)
  end

  def tables
    targets = ["gate0", "gate1", "nat0", "nat1", "peer0", nil]
    by_id(Array.new(3) do |n|
      # As a rule one leads out, one is translated.
      usual = [prefix("0.0.0.0/0"), ["gate0", "nat0", pick(targets)][n]]
      routes = [usual, *Array.new(@random.rand(0..3)) { [pick([prefix("0.0.0.0/0"), peer_block]), pick(targets)] }].uniq(&:first)
      R::RouteTable.new(id: "table#{n}", routes:)
    end)
  end

  def peerings = { "peer0" => R::Peering.new(id: "peer0", network_ids: %w[net0 net1]) }

  def gateways
    by_id(networks.keys.flat_map do |id|
      number = id[/\d+/]
      [R::Gateway.new(id: "gate#{number}", sort: "internet", network_id: id),
       R::Gateway.new(id: "nat#{number}", sort: "translation", network_id: id, subnet_id: pick(subnet_ids.select { |one|
         network_of(one) == id
       }))]
    end)
  end

  def interfaces
    by_id(Array.new(@counts[:interfaces]) do |n|
      subnet_id = pick(subnet_ids)
      address = Basalt::Addresses.address("10.#{subnet_id[/\d+/]}.#{subnet_id[/\d+\z/]}.#{n + 1}")
      R::Interface.new(id: "if#{n}", owner_id: "thing#{n}", address:, subnet_id:, open: chance(0.5) || nil,
                       group_ids: groups.keys.select { chance(0.4) })
    end)
  end
end
