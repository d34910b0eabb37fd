# frozen_string_literal: true

module Basalt
  module Network
    # The way from one thing to another at the logical level: within a subnet directly, and otherwise through gateways, from
    # forwarding thing to forwarding thing.
    class RouteTrace
      # +via+ is the subnet or link that led to a thing.
      Step = Value.of(:thing_id, :via_id)
      FORWARDING = ["router", "firewall", "load balancer", "modem"].freeze

      # @param set [Model::WorkingSet, Change::Draft]
      # @param from [String] id of a thing
      # @param to [String]
      def initialize(set, from, to)
        @set = set
        @from = from
        @to = to
        @steps = found
      end

      # @return [Array<Step>, nil] nil where there is no way
      attr_reader :steps

      # @return [String, nil] what stops it, nil where there is a way
      def stopped
        return if steps

        no_subnet || no_gateway || "no gateway that #{name(@from)} reaches leads to #{name(@to)}"
      end

      # @return [Array<String>] ids of things, subnets and links on the way
      def ids = steps.to_a.flat_map { |step| [step.via_id, step.thing_id] }.compact

      private

      def found
        came = { @from => nil }
        waiting = [@from]
        while (id = waiting.shift)
          return walked(came) if id == @to

          onwards(id).each do |via, other|
            next if came.key?(other)

            came[other] = [id, via]
            waiting << other
          end
        end
        nil
      end

      def walked(came)
        steps = []
        id = @to
        while id
          from, via = came[id]
          steps.unshift(Step.new(thing_id: id, via_id: via))
          id = from
        end
        steps
      end

      # @return [Array<Array(String, String)>] what leads on, and to where
      def onwards(id)
        return [] unless id == @from || forwards?(id)

        subnets(id).flat_map { |subnet| on(subnet, id).map { |other| [subnet, other] } } + links(id)
      end

      # From a host the gateway, or whoever is meant; from whoever forwards, any who forward or are meant.
      def on(subnet, id)
        things = @set.relations_of(subnet, "attachment").map { |attachment| attachment.target("thing") }.uniq - [id]
        open = forwards?(id) ? things.select { |other| forwards?(other) } : gateways(subnet)
        things & [@to, *open]
      end

      def gateways(subnet)
        own = @set.relations_of(subnet, "attachment").select { |attachment| attachment["gateway"] }.map { |one| one.target("thing") }
        shared = @set.relations_of(subnet, "shared gateway").flat_map { |gateway| gateway.targets("member") }
        (own + shared).select { |id| forwards?(id) }
      end

      def links(id)
        @set
          .relations_of(id, "link")
          .filter_map { |link| (link.targets - [id]).first&.then { |other| [link.id, other] } }
          .select { |_, other| other == @to || forwards?(other) }
      end

      def subnets(id) = @set.relations_of(id, "attachment").map { |attachment| attachment.target("subnet") }.uniq

      def forwards?(id)
        thing = @set.element(id)
        thing&.kind == "outside" || (thing&.kind == "device" && FORWARDING.include?(thing["role"]))
      end

      def no_subnet
        lost = [@from, @to].find { |id| subnets(id).empty? && links(id).empty? }
        lost && "#{name(lost)} stands on no subnet"
      end

      def no_gateway
        return if forwards?(@from)

        own = subnets(@from)
        return unless own.any? && own.all? { |subnet| gateways(subnet).empty? }

        "#{English.list(own.map { |id| name(id) })} #{own.one? ? "has" : "have"} no gateway that forwards"
      end

      def name(id) = @set.element(id).name
    end
  end
end
