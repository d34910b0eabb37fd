# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Physical network sheets: units as slabs, cables between them with the ports at their ends. Over what a cable
      # goes is told by its dash, how fast it is by its weight.
      class Physical < Logical
        NAME = "physical network"
        # Of a port that is not decided, where it should be.
        UNDECIDED = "?"

        def name = NAME
        def band = "Physical"
        def things = %w[device outside place]
        def lines = %w[link]

        def draws_line?(set, relation)
          lines.include?(relation.kind) && !(set.respond_to?(:follower?) && set.follower?(relation))
        end

        def examples =
          ["switch core-01, 2 members, ports 1-24 copper 1G, ports up1-up4 fibre 10G", "router edge-01, ports lan1-lan4 copper 1G",
           "edge-01 lan1 to core-01 1/1, copper 1G, 12m"]

        def chips
          [
            %w[router r],
            %w[switch s],
            %w[firewall f],
            %w[server v],
            ["patch panel", "h"],
            ["access point", "x"],
            %w[controller c],
            %w[ups q],
            ["power strip", "w"],
            %w[provider p]
          ]
        end

        def line(set, thing)
          members = thing.kind == "device" ? Cabling::Ports.of(set, thing).told_members : 0
          members > 1 ? "#{super}, #{members} members" : super
        end

        def labels(set, cable)
          cables = set.respond_to?(:bundle) ? set.bundle(cable) : [cable]
          cables.length > 1 ? BundleLabels.new(self, set, cables).labels : ends(set, cable) + middle(set, cable)
        end

        def bundles? = true
        def bundle_name(cable) = cable["bundle"]

        # A port and half of what stands in the middle.
        def strip = 32

        def pen(cable) = CablePens.of(cable)

        # Ports that are free and fit, and what the cable is then.
        def proposed(set, cable)
          units = cable.targets.map { |id| set.element(id) }
          return [] unless units.all? { |unit| unit.kind == "device" } && units.uniq(&:id).length == 2

          pair = Cabling::NextFree.new(set).pair(*units) or return []
          ports = cable.ends.zip([pair.one, pair.other])
          ports.map { |one, port| Change::SetEnd.new(id: cable.id, role: one.role, facts: { "port" => port.label }) } +
            [["medium", pair.medium], ["speed", pair.speed]].map { |fact, value| Change::Set.new(id: cable.id, fact:, value:) }
        end

        # What a carrier provides is a line doubled; where somebody else's side begins, a bar crosses it.
        def line_shapes(set, cable, route, _labels)
          pens = cable["circuit"] ? %i[double between grip] : [pen(cable), :grip]
          pens.map { |pen| Drawing::Shapes.polyline(route, pen) } + bars_across(set, cable, route)
        end

        def legend = PhysicalLegend::ENTRIES

        def marks(set, element)
          return PhysicalLegend.marks(self, element) unless element.kind == "link"

          open = element.ends.any? { |one| one.facts["port"].nil? && undecided?(set, set.element(one.target_id)) }
          [pen(element), *(:undecided if open), *(:border if borders(set, element).any?)]
        end

        # Whose a unit is shows at its cables.
        def tells_of_others? = true

        def tellers(set, altered)
          owned = altered.select { |one| one.kind == "ownership" }.map { |one| one.target("owned") }
          owned.uniq.flat_map { |id| set.relations_of(id, "link").map(&:id) }
        end

        # @return [Array<Symbol>] at which end of a cable somebody else's side begins: +:first+, +:last+
        def borders(set, cable)
          sides = cable.ends.values_at(0, -1).map { |one| side(set, one.target_id) }
          return [] if sides.uniq.length == 1

          %i[first last].zip(sides).reject { |_, side| side.nil? }.map(&:first)
        end

        def computed(set, element) = PhysicalFacts.of(set, element)
        def computed_headings(kind) = PhysicalFacts.headings(kind)

        # @return [String] of a port, as drawings write it
        def drawn(set, unit, label) = unit.kind == "device" ? Cabling::Rules.drawn(set, unit, label) : label

        private

        # @return [String, nil] id of the outside whose it is; nil where it is ours
        def side(set, id)
          unit = set.element(id)
          return id if unit.kind == "outside"

          unit.kind == "device" ? Owners.of(set, unit).first : nil
        end

        BORDER = 14
        HALF = 9
        private_constant :BORDER, :HALF

        def bars_across(set, cable, route)
          borders(set, cable).filter_map do |place|
            (x1, y1), (x2, y2) = (place == :first ? route : route.reverse).first(2)
            length = Math.hypot(x2 - x1, y2 - y1)
            next if length.zero?

            dx, dy = (x2 - x1) / length, (y2 - y1) / length
            x, y = x1 + (dx * [BORDER, length / 2].min), y1 + (dy * [BORDER, length / 2].min)
            Drawing::Shapes.polyline([[x - (dy * HALF), y + (dx * HALF)], [x + (dy * HALF), y - (dx * HALF)]], :border)
          end
        end

        def ends(set, cable)
          cable.ends.filter_map do |one|
            unit = set.element(one.target_id)
            text = one.facts["port"] ? drawn(set, unit, one.facts["port"]) : (UNDECIDED if undecided?(set, unit))
            Drawing::Label.new(role: one.role, text: Drawing::Pens.fit(text, :label, 120)) if text
          end
        end

        # Of what has no ports of its own nothing has to be decided.
        def undecided?(set, unit) = unit&.kind == "device" && Cabling::Ports.of(set, unit).known?

        # How long it is, the schedule tells; and of a bundle its first cable tells for all.
        def middle(set, cable)
          words = [
            *([cable["circuit"] || cable["speed"], cable["bundle"]] if speaks?(set, cable)),
            cable["label"],
            ("planned" if cable["planned"])
          ].compact
          words.empty? ? [] : [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(words.join(" "), :label, 200))]
        end

        def speaks?(set, cable)
          return true unless cable["bundle"]

          near = set.relations_of(cable.targets.first, "link")
          bundle = near.select { |one| one["bundle"] == cable["bundle"] && one.targets.sort == cable.targets.sort }
          bundle.min_by(&:ordinal)&.id == cable.id
        end
      end
    end
  end
end
