# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # What needs an address of a subnet is in none, or has one of another block.
      class ResourceOutsideSubnet < CloudCheck
        rule "resource-outside-subnet", :warning, reads: READS

        def findings = resources.filter_map { |thing| thing["address"] ? addressed(thing) : unplaced(thing) }

        private

        def addressed(thing)
          holder = thing.container_id && scape.landscape.interfaces[thing.id]&.subnet_id&.then { |id| set.element(id) } or return
          address = Addresses.address(thing["address"])
          blocks = Prefixes.read(holder["prefixes"])
          return if blocks.empty? || blocks.any? { |block| block.cover?(address) }

          finding([thing.id, holder.id], "#{thing.name} at #{thing["address"]} is not within #{holder.name} #{holder["prefixes"]}",
                  "The two say different things of where it is; one of them is wrong.")
        end

        def unplaced(thing)
          return unless Services::PLACED.include?(thing["service"]) && thing.container_id

          network = scape.network_of(thing.container_id) or return
          return unless scape.landscape.interfaces[thing.id]&.subnet_id == network && subnets?(network)

          finding([thing.id, network], "#{thing.name} is in #{name(network)}, and in none of its subnets",
                  "#{a(thing).capitalize} has its address from a subnet: where it is decides which rules it is under.")
        end

        def subnets?(network)
          (@subnets ||= boundaries.select { |one| one["level"] == "subnet" }.to_set { |one| scape.network_of(one.id) }).include?(network)
        end
      end
    end
  end
end
