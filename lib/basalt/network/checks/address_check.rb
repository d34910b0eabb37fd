# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # What the checks of addresses share: the plan, and the repair by another address.
      class AddressCheck < Basalt::Checks::Check
        # An address that is free for one subnet is taken by whoever has it, wherever they are attached.
        def self.reached(analysis, touched)
          set = analysis.set
          addresses = held(set, touched).map { |text| Addresses.address(text) }
          super | covering(analysis[Addressing], addresses).flat_map { |subnet| set.relations_of(subnet.id, *InUse::HOLDERS).map(&:id) }
        end

        def self.covering(plan, addresses)
          return [] if addresses.empty?

          plan.subnets.select { |subnet| plan.prefix(subnet)&.then { |prefix| addresses.any? { |address| prefix.cover?(address) } } }
        end

        # Of a subnet that is in another space now, those of all who are attached to it.
        def self.held(set, touched)
          subnets = touched.kinds.include?("subnet") ? touched.ids.select { |id| set.element(id)&.kind == "subnet" } : []
          moved = subnets.flat_map { |id| set.relations_of(id, *InUse::HOLDERS) }.filter_map { |one| one["address"] }
          (touched.values("address") + moved).uniq
        end
        private_class_method :covering, :held

        private

        def plan = analysis[Addressing]

        # @param element [Model::Element] what holds the address
        # @param name [String] what to call it in the repair
        # @param from [Integer, nil] where to begin the search
        # @return [Basalt::Checks::Repair, nil] nil when the subnet is full or has no prefix
        def give(element, subnet, name, from: nil)
          free = plan.next_free(subnet, from:) or return
          repair("Give #{name} #{Addresses::Shorthand.write(plan.prefix(subnet), free)}",
                 Change::Set.new(id: element.id, fact: "address", value: free.to_s, was: element["address"]))
        end
      end
    end
  end
end
