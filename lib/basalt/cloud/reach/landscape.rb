# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What decides which thing can reach which. Everything is found by its id.
      #
      # +interfaces+ are Interface, +subnets+ Subnet, +networks+ Network, +groups+ RuleGroup, +lists+ AccessList, +tables+ RouteTable,
      # +peerings+ Peering and +gateways+ Gateway, each a hash by id.
      Landscape =
        Value.of(interfaces: {}, subnets: {}, networks: {}, groups: {}, lists: {}, tables: {}, peerings: {}, gateways: {}) do
          # @return [Landscape] in which a rule is not there
          def without(rule_id)
            kept = ->(holder) { holder.with(rules: holder.rules.reject { |rule| rule.id == rule_id }) }
            with(groups: groups.transform_values(&kept), lists: lists.transform_values(&kept))
          end
        end
    end
  end
end
