# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # All that a balancer hands requests to stands in one zone, though its network has more.
      class OneZoneOnly < CloudCheck
        rule "one-zone-only", :warning, reads: READS

        def findings
          connections.select { |one| one["verb"] == Verbs::TARGETS }.group_by { |one| one.target("from") }.filter_map do |id, lines|
            zones = lines.map { |line| zone(line.target("to")) }
            told(id, lines, zones.first) if zones.all? && zones.uniq.one? && others(lines.first.target("to"), zones.first).any?
          end
        end

        private

        # @return [String, nil] said of the thing, or of what it is in
        def zone(id)
          one = set.element(id)
          while one
            return one["zone"] if one["zone"]
            return one.name if one["level"] == "zone"

            one = one.container_id && set.element(one.container_id)
          end
        end

        def others(id, zone)
          network = scape.network_of(set.element(id).container_id)
          inner = boundaries.select { |one| one["level"] == "subnet" && scape.network_of(one.id) == network }
          inner.filter_map { |one| zone(one.id) }.uniq - [zone]
        end

        def told(id, lines, zone)
          finding([id, *lines.map { |line| line.target("to") }], "All that #{name(id)} hands requests to is in zone #{zone}",
                  "When the zone fails nothing is left that answers; the network has others.")
        end
      end
    end
  end
end
