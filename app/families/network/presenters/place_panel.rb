# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # The racks of a place: how much of them is free, and what can be begun from there.
        class PlacePanel
          # Racks that are told one by one.
          MOST = 20
          Told = Basalt::Value.of(:id, :name, :words)

          # @param place [Basalt::Model::Element]
          def initialize(set, place)
            @set = set
            @place = place
            @racks = Basalt::Network::Racks::Rooms.new(set, place).racks
          end

          def any? = @racks.any?
          def draws = @place["level"] == "rack" ? "Draw its elevation" : "Draw its racks"

          # @return [Array<Told>] each rack with its sums
          def racks
            @racks.first(MOST).map do |rack|
              elevation = Basalt::Network::Racks::Elevation.new(@set, rack)
              sums = Basalt::Network::Notation::RackFace.new(elevation).sums
              Told.new(id: rack.id, name: rack.name, words: sums.reject(&:empty?).join("; "))
            end
          end

          def more = [@racks.length - MOST, 0].max
        end
      end
    end
  end
end
