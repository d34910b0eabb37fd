# frozen_string_literal: true

module Basalt
  module Network
    # The sheets that can be made for places and for units.
    module Openers
      # The racks of a place, or one of them, from the front and from the rear.
      class Elevation
        NOTATION = Notation::Rack::NAME

        def name = "rack elevation"
        def opens?(_set, element) = element.kind == "place" && element["level"] == "rack"
        def title(place) = place["level"] == "rack" ? "#{place.name} elevation" : "Racks of #{place.name}"

        def draw(draft, place)
          racks = Racks::Rooms.new(draft, place).racks
          Basalt::Openers.sheet(draft, place, title(place), NOTATION, racks)
        end
      end

      # The ports of a unit.
      class Ports
        NOTATION = Notation::Unit::NAME

        def name = "ports"
        def opens?(set, element) = element.kind == "device" && Cabling::Ports.of(set, element).known?
        def title(unit) = "Ports of #{unit.name}"
        def draw(draft, unit) = Basalt::Openers.sheet(draft, unit, title(unit), NOTATION, [unit])
      end

      ALL = [Elevation.new, Ports.new].freeze
    end
  end
end
