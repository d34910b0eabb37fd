# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # An interface with the subnet's network, broadcast or anycast address.
      class ReservedAddress < AddressCheck
        rule "reserved-address",
             :error,
             reads: ["attachment", "subnet", "shared gateway", "device"],
             each: ["attachment", "shared gateway"],
             near: 2

        def about(element)
          return [shared(element)].compact if element.kind == "shared gateway"

          i = plan.interface(element)
          i&.address && i.prefix && reserved?(i.prefix, i.address) ? [reserved(i.attachment, i.subnet, i.address, i.thing.name)] : []
        end

        private

        def reserved?(prefix, address) = prefix.cover?(address) && prefix.reserved.include?(address.number)

        def shared(gateway)
          subnet = set.element(gateway.target("subnet"))
          address = plan.shared_address(gateway)
          return unless address && plan.prefix(subnet) && reserved?(plan.prefix(subnet), address)

          reserved(gateway, subnet, address, "the shared gateway")
        end

        def reserved(element, subnet, address, name)
          prefix = plan.prefix(subnet)
          finding(
            element.id,
            "#{address} is the #{purpose(prefix, address)} address of #{subnet.name}",
            "No interface may have it: #{meaning(prefix, address)}.",
            repair: give(element, subnet, name)
          )
        end

        def purpose(prefix, address)
          return "routers' anycast" if prefix.version == 6

          address.number == prefix.first ? "network" : "broadcast"
        end

        def meaning(prefix, address)
          {
            "routers' anycast" => "whichever router is nearest answers to it",
            "network" => "it stands for the subnet itself",
            "broadcast" => "everybody on the subnet hears what is sent to it"
          }.fetch(purpose(prefix, address))
        end
      end
    end
  end
end
