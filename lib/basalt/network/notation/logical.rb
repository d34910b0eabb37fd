# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Logical network sheets: subnets as bus lines, things as slabs, addresses in shorthand
      # where a thing joins a subnet.
      class Logical < Drawing::Notation
        NAME = "logical network"
        SEAMS = {
          "switch" => :slate,
          "patch panel" => :slate,
          "access point" => :slate,
          "router" => :ochre,
          "load balancer" => :ochre,
          "modem" => :ochre,
          "firewall" => :rust,
          "server" => :lichen,
          "workstation" => :lichen,
          "printer" => :lichen,
          "storage" => :tide,
          "phone" => :amethyst
        }.freeze
        MEDIA = { "copper" => :line, "fibre" => :fibre, "radio" => :radio, "coax" => :coax }.freeze

        def name = NAME
        def things = %w[device outside subnet place]
        def lines = %w[attachment link]
        def boundaries = %w[place]
        def examples = ["router edge-01", "subnet Plant 10.20.4.0/24, vlan 40", "edge-01 on Plant at .1, gateway"]

        # How subnets are made of cables is told on the sheets of these; what a carrier provides is part of both.
        def draws_line?(set, relation) = super && !(relation.kind == "link" && cabling?(set, relation))

        def chips
          [
            %w[router r],
            %w[switch s],
            %w[firewall f],
            %w[server v],
            %w[storage o],
            %w[workstation w],
            %w[controller c],
            %w[subnet n],
            %w[internet i],
            %w[provider p]
          ]
        end

        def size(set, thing)
          return Bus.label_width(thing) + 60, Bus::THICK if thing.kind == "subnet"

          [Drawing::Slab.width(thing.name, line(set, thing)), Drawing::Slab::HEIGHT]
        end

        # A bus is as long as what stands on it needs.
        def fits?(thing) = thing.kind != "subnet"

        def sizable?(_thing) = true

        # A slab is at least as wide as its words and a bus as what stands on it.
        def sized(set, thing, placement, width, _height)
          return { w: [width, *Bus.needed(set, placement)].max } if thing.kind == "subnet"

          { w: [width, size(set, thing)[0]].max }
        end

        # The second line of a slab.
        def line(_set, thing) = thing.noun == thing.name ? "outside" : thing.noun

        def labels(set, relation)
          relation.kind == "attachment" ? [attachment_label(set, relation), *shared_label(set, relation)] : link_labels(relation)
        end

        def thing_shapes(set, thing, placement)
          return Bus.shapes(thing, placement) if thing.kind == "subnet"

          Drawing::Slab.shapes(
            placement.box,
            name: thing.name,
            line: line(set, thing),
            glyph: thing.noun,
            seam: seam(thing),
            pen: outline(set, thing)
          )
        end

        def closed_size(_set, thing, count) = [Drawing::Slab.width(thing.name, "#{thing.noun}, #{count} inside"), Drawing::Slab::HEIGHT]

        def closed_shapes(_set, thing, placement, count)
          Drawing::Slab.shapes(
            placement.box,
            name: thing.name,
            line: "#{thing.noun}, #{count} inside",
            glyph: thing.noun,
            seam: seam(thing),
            pen: thing.assumed ? :assumed : :outline
          )
        end

        def pen(relation)
          return :planned_line if relation["planned"]
          return :circuit if relation["circuit"]

          MEDIA.fetch(relation["medium"], :line)
        end

        def legend = Legend::ENTRIES
        def marks(_set, element) = Legend.marks(self, element)

        def tidy(set, sheet_id, only: nil, **)
          Drawing::CompoundLayout
            .new(self, set, sheet_id, only:)
            .placements { |things, lines, sizes| LogicalLayout.new(self, set, things, lines, sizes).placements }
        end

        # Room at the ends of lines for what stands there, px.
        def strip = Layout::Layered::STRIP

        def seam(thing) = SEAMS.fetch(thing["role"], :graphite)

        def completed(set, element, fact, text)
          return text unless fact == "address" && element.target("subnet")

          Attaching.completed(set.element(element.target("subnet")), text.empty? ? nil : text)
        end

        def computed(set, element) = Facts.of(set, element)
        def computed_headings(kind) = Facts.headings(kind)

        def terminal(_set, thing, placement, _line)
          thing.kind == "subnet" ? Layout::RailTerminal.new(Bus.rails(placement)) : super
        end

        def obstacles(_set, thing, placement)
          thing.kind == "subnet" ? Bus.obstacles(thing, placement) : super
        end

        def bars(_set, thing, placement)
          return [] unless thing.kind == "subnet"

          Bus.rails(placement).map { |left, right, y| Layout::Box.new(x: left, y: y - 2, w: right - left, h: 4) }
        end

        def candidate_positions(set, sheet_id, thing, size, extent) = CandidatePositions.new(set, sheet_id, thing, size, extent).each
        def reshape(set, sheet_id, relation) = relation.kind == "attachment" ? Bus.stretch(set, sheet_id, relation) : {}

        private

        def cabling?(set, link)
          return false if link["circuit"]

          one, *others = link.targets.uniq.map { |id| set.sheets_of(id) }
          return false if one.length < 2 || link.targets.any? { |id| set.element(id).kind == "outside" }

          others.reduce(one, :&).any? { |id| set.sheets[id]&.notation_name == Physical::NAME }
        end

        def outline(_set, thing) = Legend.outline(thing)

        def attachment_label(set, attachment)
          Drawing::Label.new(role: "thing", text: Addressing.shorthand(attachment["address"], set.element(attachment.target("subnet"))))
        end

        def shared_label(set, attachment)
          thing, subnet = attachment.targets
          gateway = set.relations_of(thing, "shared gateway").find { |g| g.target("subnet") == subnet && g["address"] } or return []
          [Drawing::Label.new(role: "subnet", text: "#{Addressing.shorthand(gateway["address"], set.element(subnet))} shared")]
        end

        def link_labels(link)
          ends = link.ends.filter_map { |e| Drawing::Label.new(role: e.role, text: e.facts["port"]) if e.facts["port"] }
          text = [link["circuit"] || link["speed"], link["label"]].compact.join(" ")
          ends + (text.empty? ? [] : [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(text, :label, 200))])
        end
      end
    end
  end
end
