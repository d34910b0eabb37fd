# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Which way something goes on from a subnet: the route with the longest prefix decides (RFC 1812, 5.2.4.3), and within a network
      # all are joined. Where nobody said which routes there are, every peering and gateway of the network counts.
      class Routing
        LOCAL = :local

        # @param landscape [Landscape]
        def initialize(landscape)
          @landscape = landscape
          @ways = Known.new
        end

        # @param from [Party]
        # @param to [Party]
        # @return [Array<Symbol, String>] LOCAL, or the ids of peerings and gateways; none where it goes nowhere
        def ways(from, to) = @ways.fetch(from.place, to.place, to.around) { found(from, to) }

        # @return [Array(Addresses::Prefix, String), nil] the route that is taken, with what it leads to
        def route(table_id, to)
          table = table_id && @landscape.tables.fetch(table_id)
          table&.routes&.select { |prefix, _| to.around.include?(prefix) }&.max_by { |prefix, _| prefix.length }
        end

        private

        def found(from, to)
          local = local(from, to)
          taken = route(from.table_id, to)
          return [taken[1]].compact if taken && (local.nil? || taken[0].length > local.length)
          return from.network_id == to.network_id ? [LOCAL] : [] if local

          from.table_id ? [] : undecided(from, to)
        end

        # @return [Addresses::Prefix, nil] of the network itself that holds the address
        def local(from, to)
          prefixes = @landscape.networks.fetch(from.network_id).prefixes
          prefixes.select { |prefix| to.around.include?(prefix) }.max_by(&:length) ||
            (Blocks::WHOLE.fetch(to.version) if from.network_id == to.network_id)
        end

        def undecided(from, to)
          return gateways(from.network_id) if to.outside?

          @landscape.peerings.values.select { |one| one.network_ids.include?(from.network_id) }.map(&:id)
        end

        def gateways(network_id) = @landscape.gateways.values.select { |one| one.network_id == network_id }.map(&:id)
      end
    end
  end
end
