# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Sheets of the ports of a unit: its members, slots, cards and ports, used and free. Two on one sheet are compared.
      class Unit < Drawing::Notation
        NAME = "unit"

        def name = NAME
        def band = "Detail"
        def things = %w[device]

        def examples
          ["switch acc-01, ports 1-24 copper 1G, ports up1-up2 fibre 10G", "switch core-01, 2 members, 2 slots, ports 1-24 fibre 10G"]
        end

        def chips = [%w[switch s], %w[router r], %w[firewall f], %w[server v], ["patch panel", "h"]]

        def ruled? = true
        def geometry(...) = UnitsGeometry.new(...)
        def fits?(_thing) = false

        # What is plugged in elsewhere shows in the cells, and what is another there in the corners.
        def together? = true
        def telling = [Cabling::Rules::KIND]

        def size(set, thing) = UnitFace.new(set, thing).then { |face| [face.width, face.height] }

        def thing_shapes(set, thing, placement)
          face = set.respond_to?(:geometry) ? set.geometry.face(thing.id) : UnitFace.new(set, thing)
          face.shapes(placement.box, line: line(set, thing), pen: thing["planned"] ? :planned : :outline)
        end

        def legend
          [
            ["free", :box, :cell, :free],
            ["something is plugged in", :box, :outline, :used],
            ["planned", :box, :planned, :planned],
            *PhysicalLegend::CABLES,
            ["there, or used, on one alone", :shapes, DIFFERS, :differs]
          ]
        end

        DIFFERS = ->(x, y) { [Drawing::Shapes.fill("M#{Drawing::Shapes.numbers(x + 20, y - 6)}h10v10Z", Drawing::Pens::AMETHYST)] }
        private_constant :DIFFERS

        def marks(set, element) = set.respond_to?(:geometry) ? set.geometry.face(element.id).marks : UnitFace.new(set, element).marks

        def computed(set, element) = PhysicalFacts.of(set, element)
        def computed_headings(kind) = PhysicalFacts.headings(kind)

        private

        # What it is, of which model, and how many of its ports are free.
        def line(set, thing)
          free = Cabling::FreePorts.new(set, thing)
          model = Cabling::Models.of(set, thing).find { |_, slot| slot.nil? }&.first&.name
          [thing.noun, model, ("#{free.count} of #{English.count(free.ports.count, "port")} free" if free.ports.known?)].compact.join(", ")
        end
      end
    end
  end
end
