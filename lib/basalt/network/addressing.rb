# frozen_string_literal: true

module Basalt
  module Network
    # The address plan of a set: subnets with their prefixes, and who has which address there.
    class Addressing
      # An attachment with what it joins; +prefix+ and +address+ are nil where not decided.
      Interface = Value.of(:attachment, :thing, :subnet, :prefix, :address) do
        def space = subnet["space"].to_s
        def gateway? = attachment["gateway"] == true
      end

      def initialize(set)
        @set = set
        @prefixes = {}
      end

      # The plan of one subnet and of those that overlap it, which costs what is attached to them.
      def self.around(set, subnet)
        new(set).tap { |plan| plan.narrow(subnet) }
      end

      def narrow(subnet)
        whole = prefix(subnet)
        @subnets = set.of_kind("subnet").select { |other| other.id == subnet.id || (whole && prefix(other)&.overlap?(whole)) }
        @interfaces = @subnets.flat_map { |near| set.relations_of(near.id, "attachment") }.filter_map { |attachment| interface(attachment) }
        @shared = @subnets.flat_map { |near| set.relations_of(near.id, "shared gateway") }.uniq(&:id)
      end

      attr_reader :set

      def subnets = @subnets ||= set.of_kind("subnet")
      def interfaces = @interfaces ||= set.of_kind("attachment").filter_map { |attachment| interface(attachment) }
      def shared = @shared ||= set.of_kind("shared gateway")
      def on(subnet) = (@on ||= interfaces.group_by { |i| i.subnet.id }).fetch(subnet.id, [])
      def shared_on(subnet) = (@shared_on ||= shared.group_by { |g| g.target("subnet") }).fetch(subnet.id, [])

      # @return [Array<Interface>] who is attached to one subnet, in order of making
      def attached(subnet) = set.relations_of(subnet.id, "attachment").filter_map { |attachment| interface(attachment) }

      # @return [Addresses::Prefix, nil]
      def prefix(subnet)
        @prefixes.fetch(subnet.id) { @prefixes[subnet.id] = subnet["prefix"] && Addresses.prefix(subnet["prefix"]) }
      end

      # @return [Set<Integer>] numbers in use in the subnet's address space, of its version
      def taken(subnet)
        prefix = prefix(subnet)
        (@taken ||= {})[[subnet["space"].to_s, prefix.version]] ||= numbers(subnet["space"].to_s, prefix.version)
      end

      # @return [Addresses::Address, nil] the next free in the subnet, searching from a number on
      def next_free(subnet, from: nil)
        prefix(subnet)&.next_free((@in_use ||= {})[subnet.id] ||= InUse.new(set, subnet, prefix(subnet)), from:)
      end

      # @return [Hash, nil] +:used+ and +:free+ numbers of addresses of the subnet
      def counts(subnet)
        prefix = prefix(subnet) or return nil
        used = taken(subnet).count { |number| number.between?(prefix.first, prefix.last) && !prefix.reserved.include?(number) }
        { used:, free: prefix.usable - used }
      end

      # @param address [String, nil]
      # @param subnet [Model::Element] that it is in
      # @return [String] what of the address the prefix leaves open; +?+ when it is not decided
      def self.shorthand(address, subnet)
        return "?" unless address

        prefix = subnet["prefix"]
        prefix ? Addresses.shorthand(prefix, address) : Addresses.address(address).to_s
      end

      def shorthand(interface) = self.class.shorthand(interface.attachment["address"], interface.subnet)

      def interface(attachment)
        known = (@known ||= {}.compare_by_identity)
        known.fetch(attachment) { known[attachment] = worked_out(attachment) }
      end

      # @return [Addresses::Address, nil]
      def shared_address(gateway) = gateway["address"] && Addresses.address(gateway["address"])

      private

      def worked_out(attachment)
        thing = set.element(attachment.target("thing"))
        subnet = set.element(attachment.target("subnet"))
        return unless thing && subnet

        Interface.restore([attachment, thing, subnet, prefix(subnet), attachment["address"] && Addresses.address(attachment["address"])])
      end

      def numbers(space, version)
        own = interfaces.select { |i| i.address && i.space == space }.map(&:address)
        common = shared.select { |g| set.element(g.target("subnet"))["space"].to_s == space }.filter_map { |g| shared_address(g) }
        (own + common).select { |address| address.version == version }.to_set(&:number)
      end
    end
  end
end
