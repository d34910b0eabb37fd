# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # One address given to two interfaces of an address space. An address that several
      # answer on purpose is said with +gateway shared by+.
      class AddressUsedTwice < AddressCheck
        rule "address-used-twice", :error, reads: ["attachment", "subnet", "shared gateway"]

        def findings
          plan.interfaces.select(&:address).group_by { |i| [i.space, i.address] }.flat_map do |(space, address), holders|
            twice(address, strangers(holders, sharers(space, address)))
          end
        end

        private

        # Who shares the address on purpose: id of each member to true; nil when it is not shared.
        def sharers(space, address)
          @sharers ||= plan.shared.group_by { |g| [set.element(g.target("subnet"))["space"].to_s, plan.shared_address(g)] }
          @sharers[[space, address]]&.flat_map { |g| g.targets("member") }
        end

        # Those who hold it without sharing it on purpose; all sharers together count as one holder.
        def strangers(holders, sharers)
          return holders.drop(1).map { |holder| [holders.first, holder] } unless sharers

          holders.reject { |holder| sharers.include?(holder.thing.id) }.map { |holder| [nil, holder] }
        end

        def twice(address, pairs)
          pairs.map do |first, second|
            other = first ? first.thing.name : "the shared gateway"
            finding([second.attachment.id, first&.attachment&.id].compact, "#{address} is used twice",
                    "#{second.thing.name} and #{other} would answer for each other.", repair: give(second.attachment, second.subnet, second.thing.name, from: second.address.number + 1))
          end
        end
      end
    end
  end
end
