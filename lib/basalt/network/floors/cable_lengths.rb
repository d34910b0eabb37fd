# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # How long cables would have to be, from where things stand and where trays run: up from the port to the tray, along the trays, and
      # down again; by right angles along the floor where no tray leads there. A tenth is added for bends and for what is left to
      # dress the ends, and the whole is rounded up to metres.
      class CableLengths
        SPARE = 1.1
        # Of a rack unit (EIA/ECA-310-E), and of what stands in no rack, m.
        UNIT = 0.04445
        PLINTH = 0.1
        DESK = 0.7
        # Of a tray of which nothing is said, m above the floor.
        TRAY = 2.4

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        def initialize(set)
          @set = set
          @frame = Frame.new(set)
        end

        # @param link [Model::Element]
        # @return [Integer, nil] m; nil where it is not known where its ends are, or these are not measured from one corner
        def of(link)
          things = link.targets.map { |id| @set.element(id) }
          return unless things.length == 2 && things.all? { |thing| thing.kind == "device" }

          (root, one), (other_root, other) = things.map { |thing| @frame.spot(thing) }
          return unless one && other && root == other_root

          (length(root, one, other, things.map { |thing| height(thing) }) * SPARE).ceil.clamp(1, 200_000)
        end

        # @param place_id [String] of a room, or of a floor
        # @return [Array<Change::Set>] the estimates of all cables that are measured from the same corner, and of which no length is said;
        #   those that stand already are left out
        def proposals(place_id)
          root = @frame.corner(place_id).first
          cables = @set.of_kind("link").reject { |link| link["length"] || link["circuit"] }.select { |link| within?(link, root) }
          cables.filter_map do |link|
            estimate = of(link)
            Change::Set.new(id: link.id, fact: "estimate", value: estimate) unless estimate.nil? || estimate == link["estimate"]
          end
        end

        private

        def within?(link, root)
          link.targets.all? { |id| @set.element(id).then { |thing| thing.kind == "device" && @frame.spot(thing)&.first == root } }
        end

        def length(root, one, other, heights)
          network = trays(root)
          along = network.trays.between(one, other)
          return along + heights.sum { |height| (network.height - height).abs } if along

          one.distance(other) + heights.sum
        end

        # m above the floor.
        def height(thing)
          unit = thing["at unit"]
          return PLINTH + ((unit - 1 + (Racks::Span.height(thing) / 2.0)) * UNIT) if unit && rack?(thing)

          rack?(thing) ? PLINTH : DESK
        end

        def rack?(thing) = @set.element(thing.container_id.to_s)&.[]("level") == "rack"

        # The trays of all rooms that are measured from the same corner, and how high they run.
        Network = Value.of(:trays, :height)
        private_constant :Network

        def trays(root)
          @trays ||= @set.of_kind("tray").select(&:container_id).group_by { |tray| @frame.corner(tray.container_id).first }
          (@networks ||= {})[root] ||= network(@trays.fetch(root, []))
        end

        def network(trays)
          paths = trays.map do |tray|
            corner = @frame.corner(tray.container_id).last
            Point.along(tray["along"]).map { |point| point + corner }
          end
          Network.new(trays: Trays.new(paths), height: trays.map { |tray| tray["level"] ? tray["level"] / 100.0 : TRAY }.max || TRAY)
        end
      end
    end
  end
end
