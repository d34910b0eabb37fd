# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # One address given to two interfaces of an address space. An address that several
      # answer on purpose is said with +gateway shared by+.
      class AddressUsedTwice < AddressCheck
        rule "address-used-twice", :error, reads: ["attachment", "subnet", "shared gateway", "device"], each: "attachment", near: 2

        # Of those who hold an address the first is in the right; of a shared one, those who share it on purpose.
        def about(attachment)
          own = plan.interface(attachment)
          return [] unless own&.address && !alone?(own)

          shared = sharers(own.space, own.address)
          return shared.include?(own.thing.id) ? [] : [twice(own, nil)] if shared

          first = holders(own).first
          first.attachment.id == attachment.id ? [] : [twice(own, first)]
        end

        private

        # Nobody else has it said in the same way, which is the only one.
        def alone?(own)
          said = own.attachment["address"]
          set.elements.count_by(:fact, ["address", said]) == 1 && said == own.address.to_s
        end

        # @return [Array<Addressing::Interface>] who has the same address in the same space, in order of making
        def holders(own)
          set
            .elements
            .by(:fact, ["address", own.attachment["address"]])
            .select { |one| one.kind == "attachment" }
            .sort_by(&:ordinal)
            .filter_map { |one| plan.interface(one) }
            .select { |one| one.space == own.space }
        end

        # @return [Array<String>, nil] ids of who shares the address on purpose; nil when it is not shared
        def sharers(space, address)
          gateways =
            set
              .elements
              .by(:fact, ["address", address.to_s])
              .select { |one| one.kind == "shared gateway" && set.element(one.target("subnet"))["space"].to_s == space }
          gateways.flat_map { |one| one.targets("member") } if gateways.any?
        end

        def twice(second, first)
          other = first ? first.thing.name : "the shared gateway"
          finding(
            [second.attachment.id, first&.attachment&.id].compact,
            "#{second.address} is used twice",
            "#{second.thing.name} and #{other} would answer for each other.",
            repair: give(second.attachment, second.subnet, second.thing.name, from: second.address.number + 1)
          )
        end
      end
    end
  end
end
