# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # What the checks of addresses share: the plan, and the repair by another address.
      class AddressCheck < Basalt::Checks::Check
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
