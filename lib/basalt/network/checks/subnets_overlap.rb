# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Two subnets of an address space that cover the same addresses, neither being declared
      # a part of the other.
      class SubnetsOverlap < Basalt::Checks::Check
        rule "subnets-overlap", :error, reads: ["subnet"]

        def findings
          plan.subnets.select { |s| plan.prefix(s) }.group_by { |s| [s["space"].to_s, plan.prefix(s).version] }
            .each_value.flat_map { |subnets| overlaps(subnets) }
        end

        private

        def plan = analysis[Addressing]

        # Sweeps the subnets by first address, keeping those still open; two prefixes overlap
        # only when one contains the other.
        def overlaps(subnets)
          open = []
          subnets.sort_by { |s| [plan.prefix(s).first, plan.prefix(s).length, s.ordinal] }.flat_map do |subnet|
            open.select! { |wider| plan.prefix(wider).contain?(plan.prefix(subnet)) }
            found = open.reject { |wider| part?(subnet, wider) || part?(wider, subnet) }.map { |wider| overlap(wider, subnet) }
            open << subnet
            found
          end
        end

        def part?(inner, outer)
          step = inner
          while (step = step.container_id && set.element(step.container_id))
            return true if step.id == outer.id
          end
          false
        end

        def overlap(wider, subnet)
          finding([subnet.id, wider.id], "#{subnet.name} and #{wider.name} overlap",
                  "#{plan.prefix(subnet)} lies in #{plan.prefix(wider)}: routers would not know which of the two is meant.",
                  repair: within(wider, subnet))
        end

        # The narrower can be declared a part of the wider, unless it is a part of something else.
        def within(wider, subnet)
          return if plan.prefix(wider) == plan.prefix(subnet) || subnet.container_id

          repair("Make #{subnet.name} a part of #{wider.name}", Change::Set.new(id: subnet.id, fact: "container", value: wider.id))
        end
      end
    end
  end
end
