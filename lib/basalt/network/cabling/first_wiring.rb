# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # A physical sheet begun from a logical one: the same things, and for each subnet cables from what stands on it to a switch, as far
      # as none lead there yet. Ports are proposed where units have some, everything is planned, and a switch that had to be
      # supposed is assumed.
      class FirstWiring
        # @param draft [Change::Draft]
        # @param sheet_id [String] of the logical sheet
        # @param to [String] id of the physical one
        def initialize(draft, sheet_id, to)
          @draft = draft
          @from = sheet_id
          @context = Statements::Context.new(draft, sheet_id: to)
        end

        # @return [Integer] how many cables were planned, or got a VLAN more
        def apply
          @context.show(*things)
          subnets.sum { |subnet| wire(subnet) }.tap { show_between }
        end

        private

        attr_reader :draft

        def things = draft.things_on(@from).reject { |thing| thing.kind == "subnet" }
        def subnets = draft.things_on(@from).select { |thing| thing.kind == "subnet" }

        # What passes on between things of the sheet stands on it too.
        def show_between
          segments = Segments.new(draft)
          shown = draft.things_on(@context.sheet_id).to_set(&:id)
          waiting = shown.to_a
          while (id = waiting.shift)
            near = segments.cables(id).flat_map(&:targets).uniq.reject { |one| shown.include?(one) || !segments.passes?(one) }
            near.select { |one| segments.cables(one).flat_map(&:targets).uniq.count { |other| shown.include?(other) } > 1 }.each do |one|
              shown << one
              waiting << one
              @context.show(draft.element(one))
            end
          end
        end

        def wire(subnet)
          units = units_on(subnet)
          return 0 if units.length < 2

          hub = hub(units) || (units.length == 2 ? units.first : supposed(subnet, units))
          reached = Segments.new(draft).parts([hub.id, *units.map(&:id)], subnet["vlan"]).find { |part| part.include?(hub.id) }
          units.reject { |unit| reached.include?(unit.id) }.each { |unit| cable(unit, hub, subnet["vlan"]) }.length
        end

        def units_on(subnet)
          ids = draft.relations_of(subnet.id, "attachment").map { |one| one.target("thing") }.uniq
          ids.filter_map { |id| draft.element(id) }.select { |one| one.kind == "device" }.sort_by(&:ordinal)
        end

        # A switch on the subnet, the one with most ports first; else a switch to which something on it is cabled already.
        def hub(units)
          own = units.select { |unit| unit["role"] == "switch" }
          return own.max_by { |unit| [Ports.of(draft, unit).count, -unit.ordinal] } if own.any?

          joined = units.flat_map { |unit| draft.relations_of(unit.id, "link").flat_map(&:targets) }
          joined.filter_map { |id| draft.element(id) }.select { |one| one.kind == "device" && one["role"] == "switch" }
            .tally.max_by { |unit, count| [count, -unit.ordinal] }&.first
        end

        def supposed(subnet, units)
          name = "#{subnet.name} switch"
          known = draft.named(name, "device").first
          return known if known

          places = units.filter_map(&:container_id)
          container_id = places.tally.max_by(&:last)&.first
          made = @context.add("device", name:, facts: { "role" => "switch" }, container_id:)
          draft.apply(Change::Set.new(id: made.id, fact: "assumed", value: true))
          @context.show(draft.element(made.id))
          draft.element(made.id)
        end

        # Another VLAN over a cable that is planned already goes with its tag.
        def cable(unit, hub, vlan)
          known = draft.relations_between(unit.id, hub.id, "link").find { |one| one["medium"] != "power" }
          return tag(known, vlan) if known && vlan

          free = NextFree.new(draft)
          pair = free.pair(unit, hub)
          ends = pair ? pair.ends(unit.id, hub.id) : [["one", unit.id, one_sided(free, unit)], ["other", hub.id, one_sided(free, hub)]]
          ends.last[2]["vlan"] = vlan if vlan && hub["role"] == "switch" && unit["role"] != "switch"
          @context.add("link", facts: { "planned" => true, **(pair&.facts || {}) }, ends:)
        end

        # Where the other has no port that fits, or none that is known.
        def one_sided(free, unit) = { "port" => free.port(unit)&.label }.compact

        def tag(cable, vlan)
          cable.ends.reject { |one| Vlans.carries?(one, vlan) }.each do |one|
            tagged = Vlans.normal([*Vlans.tagged(one), vlan].join(" "))
            draft.apply(Change::SetEnd.new(id: cable.id, role: one.role, facts: { "tagged" => tagged }))
          end
        end
      end
    end
  end
end
