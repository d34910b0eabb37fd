# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # What the logical level joins and the cables do not, or the other way round: things of one subnet between which no cables
      # carry its VLAN; and a thing that is plugged into the VLAN of a subnet on which it does not stand.
      class LogicalDisagrees < CableCheck
        rule "logical-disagrees", :warning, reads: [*READS, "attachment", "subnet"], each: %w[subnet link], wide: true
        NAMED = 4

        # A cable far away may be what is missing.
        def self.reached(analysis, touched)
          found = super | WaysOut.joined(analysis.set, touched.ids)
          touched.kinds.include?("subnet") ? found | analysis.set.of_kind("link").map(&:id) : found
        end

        def about(element) = element.kind == "subnet" ? apart(element) : [plugged(element)].compact

        private

        def segments = @segments ||= Cabling::Segments.new(set)

        # Of what no cable is drawn at, nothing is known.
        def apart(subnet)
          cabled = things(subnet).select { |id| set.element(id).kind == "device" && segments.cables(id).any? }
          parts = segments.parts(cabled, subnet["vlan"])
          return [] if parts.length < 2

          lost = parts.drop(1).flatten
          [
            finding(
              [subnet.id, *lost],
              "#{names(lost)} #{lost.one? ? "does" : "do"} not reach #{names(parts.first)} on #{subnet.name} by cables",
              "They stand on one subnet, but no cables #{"that carry VLAN #{subnet["vlan"]} " if subnet["vlan"]}lead from the one to the " \
              "other.",
              also: lost
            )
          ]
        end

        def plugged(cable)
          pairs = cable.ends.values_at(0, -1).permutation
          far, near = pairs.find { |switch, host| plugged_into?(switch, host) }
          return unless far

          subnets = of_vlan(far.facts["vlan"])
          host = set.element(near.target_id)
          return if subnets.empty? || subnets.any? { |subnet| things(subnet).include?(host.id) }

          finding(
            [cable.id, host.id],
            "#{host.name} is plugged into VLAN #{far.facts["vlan"]} and does not stand on #{English.list(subnets.map(&:name))}",
            "#{at(far, set.element(far.target_id))} gives it that VLAN; the address plan knows nothing of it there."
          )
        end

        def plugged_into?(switch, host)
          switch.facts["vlan"] && segments.passes?(switch.target_id) && set.element(host.target_id)&.kind == "device" &&
            !segments.passes?(host.target_id)
        end

        def of_vlan(vlan) = set.elements.by(:fact, ["vlan", vlan]).select { |one| one.kind == "subnet" }.sort_by(&:ordinal)
        def things(subnet) = set.relations_of(subnet.id, "attachment").map { |one| one.target("thing") }.uniq

        def names(ids)
          names = ids.map { |id| set.element(id).name }
          names.length <= NAMED ? English.list(names) : "#{names.first(NAMED).join(", ")} and #{names.length - NAMED} more"
        end
      end
    end
  end
end
