# frozen_string_literal: true

module Basalt
  module Cloud
    # What decides who can reach whom, as a model tells it (see Reach::Landscape): resources in subnets are interfaces, groups with
    # rules are rule groups. A resource that is in a network and in none of its subnets has that for its subnet; a site is an interface
    # itself.
    class ModelLandscape
      KINDS = [Kinds::BOUNDARY, Kinds::RESOURCE, Kinds::CONNECTION, Kinds::RULE, Kinds::ROUTE, Kinds::GOVERNANCE, Kinds::GROUP,
               "membership"].freeze
      NO_GROUPS = [].freeze

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @return [ModelLandscape] as the set is now
      def self.of(set)
        set.derived([self]) { |now, was, altered| was && altered && altered.none? { |delta| concerns?(delta) } ? was : new(now) }
      end

      def self.concerns?(delta) = delta.table == :elements && [delta.before, delta.after].compact.any? { |one| KINDS.include?(one.kind) }
      private_class_method :concerns?

      def initialize(set)
        @boundaries = set.of_kind(Kinds::BOUNDARY).to_h { |one| [one.id, one] }
        @resources = set.of_kind(Kinds::RESOURCE)
        @networks = @boundaries.values.select { |one| Kinds::NETWORKS.include?(one["level"]) }
        @subnet_of = {}
        read(set)
      end

      # @return [Reach::Landscape]
      attr_reader :landscape

      # @return [Reach::Analysis]
      def analysis = @analysis ||= Reach::Analysis.new(landscape)

      # @param id [String] of a resource or a site
      # @return [Reach::Interface, nil] nil for what is on no network
      def interface(id) = landscape.interfaces[id]

      # @return [String, nil] id of the network that a boundary or a resource in it belongs to
      def network_of(boundary_id) = around(boundary_id) { |one| Kinds::NETWORKS.include?(one["level"]) }

      private

      def read(set)
        rules = set.of_kind(Kinds::RULE).sort_by { |rule| [Change::Reorder.key(rule), rule.ordinal] }.group_by { |rule| rule.target("holder") }
        @governing = set.of_kind(Kinds::GOVERNANCE).group_by { |one| one.target("subnet") }.transform_values { |list| list.map { |one| one.target("by") } }
        @papers = @resources.select { |one| Services::PAPERS.include?(one["service"]) }.to_h { |one| [one.id, one["service"]] }
        @joined = joined(set)
        # A group that somebody drew holds nothing back as long as it has no rule; one of an account does.
        @guarding = set.of_kind(Kinds::GROUP).select { |one| rules.key?(one.id) || one.external_id&.start_with?("cloud ") }.to_set(&:id)
        @landscape =
          Reach::Landscape.new(networks:, subnets:, gateways:, peerings:, interfaces: interfaces(memberships(set)),
                               groups: ruled(rules, Reach::RuleGroup, @guarding.to_a),
                               lists: ruled(rules, Reach::AccessList, of_service(Services::LIST)), tables: tables(set))
      end

      def of_service(service) = @resources.select { |one| one["service"] == service }.map(&:id)
      def by_id(list) = list.to_h { |one| [one.id, one] }

      def ruled(rules, type, ids)
        by_id(ids.map { |id| type.new(id:, rules: rules.fetch(id, []).map { |rule| Rules.reach(rule) }) })
      end

      # A subnet that is in none is a network of its own.
      def networks
        alone = @boundaries.values.select { |one| one["level"] == "subnet" && network_of(one.id).nil? }
        by_id((@networks + alone).map { |one| Reach::Network.new(id: one.id, prefixes: Prefixes.read(one["prefixes"])) })
      end

      def subnets
        own = @boundaries.values.select { |one| one["level"] == "subnet" }.filter_map { |one| subnet(one, network_of(one.id) || one.id) }
        by_id(own + @networks.map { |one| subnet(one, one.id) })
      end

      def subnet(one, network_id)
        list_id, table_id = [Services::LIST, Services::TABLE].map { |paper| @governing.fetch(one.id, []).find { |id| @papers[id] == paper } }
        Reach::Subnet.new(id: one.id, network_id:, list_id:, table_id:)
      end

      # @return [Hash{String => Array<String>}] by resource or boundary, the groups with rules that it belongs to
      def memberships(set)
        set.of_kind("membership").select { |one| @guarding.include?(one.target("group")) }
          .group_by { |one| one.target("member") }.transform_values { |list| list.map { |one| one.target("group") }.uniq }
      end

      def interfaces(groups)
        placed = @resources.reject { |one| @papers.key?(one.id) || Services::OUTSIDE.include?(one["service"]) || way_out?(one) }
        found = placed.filter_map { |one| standing(one, groups) }
        sites = @networks.select { |one| one["level"] == "site" }
        by_id(found + sites.map { |one| of(one.id, address(one), one.id, groups.fetch(one.id, NO_GROUPS), nil) })
      end

      def standing(one, groups)
        subnet_id = subnet_of(one.container_id) or return
        of(one.id, one["address"] ? Addresses.address(one["address"]) : address(@boundaries[subnet_id]), subnet_id,
           groups.fetch(one.id, NO_GROUPS), one["public"])
      end

      def of(id, address, subnet_id, group_ids, open) = Reach::Interface.restore([id, id, address, subnet_id, group_ids, open])

      # Any of the block, where no address is decided; any there is, where there is no block.
      def address(boundary) = Prefixes.read(boundary["prefixes"]).first || Reach::Blocks::WHOLE.fetch(4)
      def way_out?(one) = [Services::GATEWAY, Services::TRANSLATION, "private attachment"].include?(one["service"])

      def subnet_of(id) =
        @subnet_of.fetch(id) { @subnet_of[id] = around(id) { |one| one["level"] == "subnet" || Kinds::NETWORKS.include?(one["level"]) } }

      def around(id)
        seen = Set.new
        while id && seen.add?(id)
          one = @boundaries[id] or return
          return id if yield(one)

          id = one.container_id
        end
      end

      # @return [Array<Array(String, String, String)>] id of what joins, and of the two that it joins
      def joined(set)
        set.of_kind(Kinds::CONNECTION).select { |one| one["verb"] == Verbs::JOINED }.map { |one| [one.id, *one.endpoints.first(2)] }
      end

      def peerings
        direct = @joined.filter_map do |id, one, other|
          ids = [one, other].map { |end_id| network_of(end_id) }
          Reach::Peering.new(id:, network_ids: ids) if ids.all? && ids.uniq.length == 2
        end
        by_id(direct + attachments)
      end

      # What is joined to a private attachment is joined by it.
      def attachments
        @resources.select { |one| one["service"] == "private attachment" }.filter_map do |one|
          ids = ([one.container_id] + others(one.id)).filter_map { |id| network_of(id) }.uniq
          Reach::Peering.new(id: one.id, network_ids: ids) if ids.length > 1
        end
      end

      def others(id) = @joined.filter_map { |_, one, other| one == id ? other : (one if other == id) }

      def gateways
        by_id(@resources.select { |one| [Services::GATEWAY, Services::TRANSLATION].include?(one["service"]) }.filter_map do |one|
          network_id = network_of(one.container_id) || others(one.id).filter_map { |id| network_of(id) }.first or next
          translating = one["service"] == Services::TRANSLATION
          next if translating && subnet_of(one.container_id).nil?

          Reach::Gateway.new(id: one.id, sort: translating ? "translation" : "internet", network_id:,
                             subnet_id: (subnet_of(one.container_id) if translating))
        end)
      end

      def tables(set)
        routes = set.of_kind(Kinds::ROUTE).select { |one| one["prefix"] }.group_by { |one| one.target("table") }
        by_id(of_service(Services::TABLE).map do |id|
          own = routes.fetch(id, []).map { |one| [Addresses.prefix(one["prefix"]), (way(one, id) unless one["nowhere"])] }
          Reach::RouteTable.new(id:, routes: own)
        end)
      end

      # A route to a network or a site goes by what joins it to the one from which it is taken.
      def way(route, table_id)
        to = route.target("to")
        return to unless @boundaries.key?(to)

        here = @governing.select { |_, by| by.include?(table_id) }.keys.filter_map { |id| network_of(id) }
        there = network_of(to)
        peerings.values.find { |one| one.network_ids.include?(there) && one.network_ids.intersect?(here) }&.id
      end
    end
  end
end
