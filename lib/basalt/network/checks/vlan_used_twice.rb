# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # One VLAN that carries two subnets of one IP version in the same place, or at the same thing.
      class VlanUsedTwice < Basalt::Checks::Check
        rule "vlan-used-twice", :warning, reads: %w[subnet attachment], each: "subnet", near: 2

        def about(subnet)
          first = subnet["vlan"] && same(subnet).find { |other| other.ordinal < subnet.ordinal && together?(subnet, other) } or return []
          [
            finding(
              [subnet.id, first.id],
              "VLAN #{subnet["vlan"]} carries #{first.name} and #{subnet.name}",
              "What is sent to everybody on the one is heard on the other, and a gateway cannot tell them apart by their tag."
            )
          ]
        end

        private

        def same(subnet) = set.elements.by(:fact, ["vlan", subnet["vlan"]]).select { |one| one.kind == "subnet" }.sort_by(&:ordinal)

        def together?(one, other)
          return false unless version(one) == version(other) && one["space"].to_s == other["space"].to_s
          return false if [one, other].permutation.any? { |inner, outer| inner.container_id == outer.id }

          one.container_id == other.container_id || things(one).intersect?(things(other))
        end

        # Both versions of IP share a VLAN as a rule.
        def version(subnet) = analysis[Addressing].prefix(subnet)&.version
        def things(subnet) = set.relations_of(subnet.id, "attachment").map { |one| one.target("thing") }
      end
    end
  end
end
