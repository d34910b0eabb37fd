# frozen_string_literal: true

module Basalt
  module Network
    module Racks
      # The racks of a room, or of any place, and where in them there is room.
      class Rooms
        # One place in a rack: the lowest unit, and how large the gap is that it is in.
        Fit = Value.of(:rack, :unit, :gap)

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param place [Model::Element, nil] nil for all racks there are
        def initialize(set, place = nil)
          @set = set
          @place = place
        end

        # @return [Array<Model::Element>] in order of making
        def racks
          all = @set.of_kind("place").select { |one| one["level"] == "rack" }
          @place ? all.select { |rack| within?(rack) } : all
        end

        # @param height [Integer] in units
        # @return [Array<Fit>] the smallest gap of each rack that takes so much, the tightest first
        def fitting(height)
          racks.filter_map do |rack|
            gap = Elevation.new(@set, rack).gaps.select { |run| run.count >= height }.min_by { |run| [run.count, run.first] }
            Fit.new(rack:, unit: gap.first, gap: gap.count) if gap
          end.sort_by { |fit| [fit.gap, fit.rack.ordinal] }
        end

        private

        def within?(rack)
          at = rack
          at = at.container_id && @set.element(at.container_id) until at.nil? || at.id == @place.id
          !at.nil?
        end
      end
    end
  end
end
