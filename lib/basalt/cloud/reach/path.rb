# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What gets from one party to another and back between their subnets, as far as routes and lists decide it.
      class Path
        # @param analysis [Analysis]
        # @param from [Party]
        # @param to [Party]
        def initialize(analysis, from, to)
          @landscape = analysis.landscape
          @filters = analysis.filters
          @routing = analysis.routing
          @from = from
          @to = to
        end

        # @return [Traffic]
        def traffic
          return Traffic::NONE if @from.outside? && @to.outside?
          return into if @from.outside?
          return out if @to.outside?

          joined? ? there(@from, @to) & there(@to, @from).answered : Traffic::NONE
        end

        # @return [Array<Symbol, String>] by what the two are joined, there and back
        def joints
          forward, back = @routing.ways(@from, @to), @routing.ways(@to, @from)
          (forward & back).select { |way| way == Routing::LOCAL || joins?(way) }
        end

        def joined? = joints.any?

        # @return [Array<Gateway>] those that the inner side uses to the internet
        def gateways
          inner, outer = @from.outside? ? [@to, @from] : [@from, @to]
          @routing.ways(inner, outer).filter_map { |id| @landscape.gateways[id] }
        end

        # @return [Gateway, nil] through which it comes in, or goes out
        def gateway
          gateways.find { |one| @from.outside? ? direct?(one, @to) : direct?(one, @from) || translating?(one) }
        end

        private

        def joins?(id)
          peering = @landscape.peerings[id]
          !peering.nil? && [@from, @to].all? { |party| peering.network_ids.include?(party.network_id) }
        end

        def direct?(gateway, party) = gateway.sort == "internet" && gateway.network_id == party.network_id && party.open

        # What leaves the subnet of one and enters that of the other.
        def there(from, to) = @filters.listed(from.list_id, "out", to) & @filters.listed(to.list_id, "in", from)

        def into
          return Traffic::NONE unless gateway

          @filters.listed(@to.list_id, "in", @from) & @filters.listed(@to.list_id, "out", @from).answered
        end

        def out
          way = gateway or return Traffic::NONE
          own = @filters.listed(@from.list_id, "out", @to) & @filters.listed(@from.list_id, "in", @to).answered
          # What stands beside the one that translates leaves its subnet only once.
          way.sort == "internet" || way.subnet_id == @from.subnet_id ? own : own & translated(translator(way))
        end

        # Through the subnet of what translates: in from the sender and out, the answer in and out to the sender.
        def translated(translator)
          outward = @filters.listed(translator.list_id, "in", @from) & @filters.listed(translator.list_id, "out", @to)
          back = @filters.listed(translator.list_id, "in", @to) & @filters.listed(translator.list_id, "out", @from)
          outward & back.answered
        end

        # It stands where the internet is reached directly.
        def translating?(gateway)
          return false unless gateway.sort == "translation" && gateway.subnet_id

          own = translator(gateway)
          @routing.ways(own, @to).any? { |id| @landscape.gateways[id]&.sort == "internet" }
        end

        def translator(gateway)
          subnet = @landscape.subnets.fetch(gateway.subnet_id)
          Party.new(around: @from.around, group_ids: [], place: Place.new(network_id: subnet.network_id, list_id: subnet.list_id,
                                                                          table_id: subnet.table_id, open: true))
        end
      end
    end
  end
end
