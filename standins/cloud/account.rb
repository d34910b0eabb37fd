# frozen_string_literal: true

module Standins
  module Cloud
    # The account of a made-up utility at a made-up provider, as large as one asks: networks with two zones and three tiers each, and
    # services beside them. The same numbers give the same account.
    class Account
      TIERS = %w[edge app data].freeze
      ZONES = %w[a b].freeze
      # By tier: what runs there, by which port it is asked, and of how many machines a service is.
      ASKED = { "edge" => 443, "app" => 8080, "data" => 5432 }.freeze

      # @param systems [Integer] how many there are, each with a network of its own
      # @param services [Integer] of each system, in each tier
      # @param machines [Integer] of each service in the middle tier
      # @param seed [Integer]
      def initialize(systems: 2, services: 2, machines: 4, seed: 1)
        @systems = Array.new(systems) { |n| "sys#{n}" }
        @services = services
        @machines = machines
        @random = Random.new(seed)
      end

      # @return [Account] of about that many resources
      def self.of(resources)
        return new(systems: 3) if resources <= 60

        systems = [resources / 500, 1].max
        services = 8
        new(systems:, services:, machines: [(((resources / systems) - 2) / services) - 5, 1].max)
      end

      # @return [Hash] an inventory
      def document
        {
          "format" => "cloud inventory", "version" => 1, "account" => { "id" => "tarnwater-1", "name" => "Tarnwater telemetry account" },
          "boundaries" => boundaries, "resources" => resources, "groups" => groups, "lists" => lists, "tables" => tables,
          "connections" => connections
        }
      end

      private

      def number(system) = system.delete_prefix("sys").to_i

      def block(system, tier, zone)
        "10.#{60 + (number(system) / 8)}.#{((number(system) % 8) * 32) + (TIERS.index(tier) * 4) + (ZONES.index(zone) * 2)}.0/23"
      end

      def subnet(system, tier, zone) = "#{system}-#{tier}-#{zone}"
      def each_subnet = @systems.product(TIERS, ZONES)

      def boundaries
        [{ "id" => "north", "level" => "region", "name" => "North" }] +
          @systems.map do |one|
            { "id" => "#{one}-net", "level" => "network", "name" => "#{one} net", "in" => "north",
              "blocks" => ["10.#{60 + (number(one) / 8)}.#{(number(one) % 8) * 32}.0/19"] }
          end +
          each_subnet.map do |one, tier, zone|
            { "id" => subnet(one, tier, zone), "level" => "subnet", "name" => "#{one} #{tier} #{zone}", "in" => "#{one}-net",
              "zone" => zone,
              "blocks" => [block(one, tier, zone)] }
          end
      end

      def resources
        @systems.flat_map { |one| ways_out(one) + Array.new(@services) { |n| service(one, n) }.flatten + around(one) }
      end

      def ways_out(one)
        [{ "id" => "#{one}-gate", "service" => "internet gateway", "name" => "#{one} gate", "in" => "#{one}-net" },
         { "id" => "#{one}-out", "service" => "address translation", "name" => "#{one} out", "in" => subnet(one, "edge", "a") }]
      end

      def service(one, n)
        [thing(one, "front#{n}", "load balancer", "edge", n, public: true), *Array.new(@machines) { |m|
          thing(one, "web#{n}-#{m}", "machine", "app", n, place: m)
        },
         thing(one, "work#{n}", "function", "app", n), thing(one, "base#{n}", "relational store", "data", n)]
      end

      def thing(one, name, service, tier, n, place: n, public: nil)
        { "id" => "#{one}-#{name}", "service" => service, "name" => "#{one} #{name}", "in" => subnet(one, tier, ZONES[place % 2]),
          "public" => public,
          "groups" => ["#{one}-#{tier}#{n}"],
          "facts" => { "memory" => "#{2**(1 + (n % 4))} GB", "owner" => %w[Operations Maps Telemetry][n % 3] },
          "tags" => { "system" => one } }.compact
      end

      def around(one)
        Array.new(@services) do |n|
          [{ "id" => "#{one}-jobs#{n}", "service" => "queue", "name" => "#{one} jobs#{n}", "in" => "north" },
           { "id" => "#{one}-files#{n}", "service" => "object store", "name" => "#{one} files#{n}", "in" => "north",
             "facts" => { "kept for" => "13 months" } }]
        end.flatten
      end

      def groups
        @systems.product(TIERS, Array.new(@services) { |n| n }).map do |one, tier, n|
          { "id" => "#{one}-#{tier}#{n}", "name" => "#{one} #{tier}#{n}", "rules" => rules(one, tier, n) }
        end
      end

      def rules(one, tier, n)
        from = tier == "edge" ? "anywhere" : { "group" => "#{one}-#{TIERS[TIERS.index(tier) - 1]}#{n}" }
        [{ "direction" => "in", "protocol" => "tcp", "ports" => ASKED[tier].to_s, "from" => from },
         { "direction" => "in", "protocol" => "tcp", "ports" => "9100",
           "from" => "10.#{60 + (number(one) / 8)}.#{(number(one) % 8) * 32}.0/19" },
         { "direction" => "in", "protocol" => "tcp", "ports" => "22", "from" => "10.20.#{@random.rand(4)}.0/24" },
         { "direction" => "out", "to" => "anywhere" }]
      end

      def lists
        @systems.map do |one|
          { "id" => "#{one}-edge-list", "name" => "#{one} edge list", "subnets" => ZONES.map { |zone| subnet(one, "edge", zone) },
            "rules" => [{ "direction" => "in", "action" => "denies", "protocol" => "tcp", "ports" => "23", "from" => "anywhere" },
                        { "direction" => "in", "from" => "anywhere" }, { "direction" => "out", "to" => "anywhere" }] }
        end
      end

      def tables
        @systems.flat_map do |one|
          [{ "id" => "#{one}-outer", "name" => "#{one} outer", "subnets" => ZONES.map { |zone| subnet(one, "edge", zone) },
             "routes" => [{ "block" => "0.0.0.0/0", "to" => "#{one}-gate" }] },
           { "id" => "#{one}-inner", "name" => "#{one} inner", "subnets" => ZONES.map { |zone| subnet(one, "app", zone) },
             "routes" => [{ "block" => "0.0.0.0/0", "to" => "#{one}-out" }] }]
        end
      end

      def connections
        @systems.product(Array.new(@services) { |n| n }).flat_map do |one, n|
          Array.new([@machines, 4].min) { |m|
            { "from" => "#{one}-front#{n}", "does" => "targets", "to" => "#{one}-web#{n}-#{m}", "protocol" => "tcp", "ports" => "8080" }
          } +
            [{ "from" => "#{one}-work#{n}", "does" => "reads", "to" => "#{one}-jobs#{n}" },
             { "from" => "#{one}-web#{n}-0", "does" => "publishes to", "to" => "#{one}-jobs#{n}" },
             { "from" => "#{one}-work#{n}", "does" => "writes to", "to" => "#{one}-files#{n}" }]
        end
      end
    end
  end
end
