# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # One address given to two interfaces of an address space. An address that several
      # answer on purpose is said with +gateway shared by+.
      class AddressUsedTwice < Basalt::Checks::Check
        rule "address-used-twice", :error, reads: ["attachment", "subnet", "shared gateway"]

        def findings
          plan.interfaces.select(&:address).group_by { |i| [i.space, i.address] }.flat_map do |(space, address), holders|
            twice(address, strangers(holders, sharers(space, address)))
          end
        end

        private

        def plan = survey[Addressing]

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
                    "#{second.thing.name} and #{other} would answer for each other.", repair: another(second))
          end
        end

        def another(interface)
          free = plan.next_free(interface.subnet, from: interface.address.number + 1) or return
          repair("Give #{interface.thing.name} #{Addresses::Shorthand.write(interface.prefix, free)}",
                 Change::Set.new(id: interface.attachment.id, fact: "address", value: free.to_s, was: interface.address.to_s))
        end
      end
    end
  end
end
