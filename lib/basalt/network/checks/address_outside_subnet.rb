# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # An address that its subnet's prefix does not cover.
      class AddressOutsideSubnet < AddressCheck
        rule "address-outside-subnet",
             :error,
             reads: ["attachment", "subnet", "shared gateway", "device"],
             each: ["attachment", "shared gateway"],
             near: 2

        def about(element)
          return [shared_outside(element)].compact if element.kind == "shared gateway"

          i = plan.interface(element)
          i&.address && i.prefix && !i.prefix.cover?(i.address) ? [outside(i)] : []
        end

        private

        def outside(interface)
          finding(
            interface.attachment.id,
            "#{interface.address} is outside #{interface.subnet.name}",
            "#{interface.thing.name} would look for its neighbours beyond #{interface.prefix} and not find them.",
            repair: give(interface.attachment, interface.subnet, interface.thing.name)
          )
        end

        def shared_outside(gateway)
          subnet = set.element(gateway.target("subnet"))
          address = plan.shared_address(gateway)
          return unless address && plan.prefix(subnet) && !plan.prefix(subnet).cover?(address)

          finding(
            gateway.id,
            "#{address} is outside #{subnet.name}",
            "Nobody on #{subnet.name} would reach the shared gateway there.",
            repair: give(gateway, subnet, "the shared gateway")
          )
        end
      end
    end
  end
end
