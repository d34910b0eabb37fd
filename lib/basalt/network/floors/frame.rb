# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # Positions of what stands in one room, or in rooms of one floor, measured from one corner.
      class Frame
        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        def initialize(set)
          @set = set
          @corners = {}
        end

        # @param thing [Model::Element] a device
        # @return [Array(String, Point), nil] id of the outermost place that it is measured in, and its middle there; nil where that is
        #   not known
        def spot(thing)
          standing = standing(thing) or return
          root, corner = corner(standing.container_id)
          [root, corner + Footprint.new(standing).middle]
        end

        # @param place_id [String]
        # @return [Array(String, Point)] the outermost place whose corner is known from this one's, and how far its own is from there
        def corner(place_id)
          @corners[place_id] ||=
            begin
              place = @set.element(place_id)
              own = place && Point.of(place["position"])
              if own && place.container_id
                root, outer = corner(place.container_id)
                [root, outer + own]
              else
                [place_id, Point.restore([0.0, 0.0])]
              end
            end
        end

        # @return [Model::Element, nil] the thing itself, or the rack that it is in, where that has a place on the floor
        def standing(thing)
          return thing if Point.of(thing["position"]) && thing.container_id

          holder = thing.container_id && @set.element(thing.container_id)
          holder if holder && holder["level"] == "rack" && Point.of(holder["position"]) && holder.container_id
        end
      end
    end
  end
end
