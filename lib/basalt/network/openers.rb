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

      # The floor of a room.
      class Plan
        NOTATION = Notation::FloorPlan::NAME

        def name = "floor plan"
        def opens?(_set, element) = element.kind == "place" && %w[room floor].include?(element["level"])
        def title(room) = "#{room.name} floor"
        def draw(draft, room) = Basalt::Openers.sheet(draft, room, title(room), NOTATION, [room])
      end

      ALL = [Elevation.new, Plan.new, Ports.new].freeze
    end
  end
end
