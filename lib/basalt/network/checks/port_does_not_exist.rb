# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable at a port that its unit does not have, though its ports are known.
      class PortDoesNotExist < CableCheck
        rule "port-does-not-exist", :error, reads: READS, each: "link"

        def about(cable)
          return [] if met(cable).length == cable.ends.length

          ends(cable).filter_map do |one, unit, ports|
            next if one.facts["port"].nil? || !ports.known? || port(one, ports)

            finding(
              [cable.id, unit.id],
              "#{unit.name} has no port #{one.facts["port"]}",
              "Its ports are #{English.list(told(ports))}; whoever cables from the schedule will not find it.",
              repair: another_port(cable, one, unit)
            )
          end
        end

        private

        def told(ports)
          ports.groups.map do |group|
            first, last = [0, group.count - 1].map { |index| ports.port(group, group.names.at(index), ports.stacked? ? 1 : nil).label }
            first == last ? first : "#{first} to #{last}"
          end + (ports.stacked? ? ["the same on #{English.count(ports.members, "member")}"] : [])
        end
      end
    end
  end
end
