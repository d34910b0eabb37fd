# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Where rooms, racks and things stand on a plan of a floor, to scale, by where the model has them. What is dropped there stands
      # there in the model; what has no place yet waits beside the plan.
      class FloorGeometry < Drawing::Geometry
        # px for each metre.
        SCALE = 60
        # Drops come to rest at tenths of a metre.
        GRID = 0.1
        TRAY = 18
        GAP = 30
        F = Floors::Footprint
        P = Floors::Point

        def initialize(set, sheet_id, was = nil, altered = nil)
          super
          @subject = set.sheets[sheet_id].subject_id&.then { |id| set.element(id) }
          shown = set.things_on(sheet_id)
          @rooms = rooms(shown)
          # What is here stands in a room of the plan, or is shown without.
          @here = (shown + @rooms.flat_map { |room| set.contents_of(room.id) }).uniq(&:id).select { |thing| standing?(thing) } - @rooms
        end

        # @return [Hash{String => Hash}] (see Drawing::Geometry#places)
        def places = @places ||= corners.to_h { |room, at| [room.id, room_box(room, at)] }.merge(placed, waiting)

        # @return [Boolean] whether it is known where on the floor it stands
        def placed?(thing) = placed.key?(thing.id)

        # @param key [String] of a thing, a tray or a room, which goes to where it was dropped
        def dropped(key, x, y)
          thing = set.element(key)
          at = metres(x, y)
          return [] if thing.id == @subject&.id
          return room_dropped(thing, at) if @rooms.any? { |room| room.id == key }

          room = room_at(x, y, thing) or return thing.kind == "tray" ? [] : away(thing)
          own = at - corners.fetch(room)
          changes = thing.container_id == room.id ? [] : [Change::Set.new(id: key, fact: "container", value: room.id)]
          changes + [thing.kind == "tray" ? tray_to(thing, own) : Change::Set.new(id: key, fact: "position", value: snapped(own).to_s)]
        end

        def behind(box) = [box.right, box.y]

        # What was given a size on the plan is so large on the floor.
        def sized(key, width, height)
          thing = set.element(key)
          size = P.restore([width, height].map { |px| [snap(px / SCALE.to_f), GRID].max })
          return [stretched(thing, size)] if thing.kind == "tray"

          [Change::Set.new(id: key, fact: "extent", value: (F.new(thing).across? ? size.turned : size).to_s)]
        end

        private

        # Places that are drawn as rooms: what the sheet is about, or the rooms in it, and such as are shown besides.
        def rooms(shown)
          about = @subject&.kind == "place" && @subject["level"] != "rack" ? [@subject] : []
          within = about.flat_map { |place| set.contents_of(place.id) }.select { |one| room?(one) }
          (about + within + shown.select { |one| room?(one) }).uniq(&:id)
        end

        def room?(thing) = thing.kind == "place" && thing["level"] != "rack"

        def standing?(thing)
          return true if thing.kind == "tray"
          return thing["level"] == "rack" if thing.kind == "place"

          thing.kind == "device" && set.element(thing.container_id.to_s)&.[]("level") != "rack"
        end

        # @return [Hash{Model::Element => Floors::Point}] upper left corners of the rooms, m; those without a place of their own
        #   stand beside each other
        def corners
          @corners ||=
            begin
              right = 0.0
              @rooms.each_with_object({}) do |room, found|
                outer = found.find { |other, _| other.id == room.container_id }&.last
                own = F.new(room).corner
                found[room] = outer && own ? outer + own : P.restore([right, 0.0])
                right = [right, found[room].x + extent(room).x + 1].max
              end
            end
        end

        # A room is at least as large as what stands in it.
        def extent(room)
          told = P.of(room["extent"])
          return told if told

          reach = set.contents_of(room.id).filter_map { |thing| reach(thing) }
          P.restore([[F::ROOM.x, *reach.map { |at| at.x + 0.5 }].max, [F::ROOM.y, *reach.map { |at| at.y + 0.5 }].max])
        end

        # How far from the corner of its room something reaches.
        def reach(thing)
          return P.along(thing["along"]).then { |all| P.restore([all.map(&:x).max, all.map(&:y).max]) if all.any? } if thing.kind == "tray"

          foot = F.new(thing)
          foot.corner && (foot.corner + (room?(thing) ? extent(thing) : foot.extent))
        end

        def room_box(room, at) = box(at, extent(room))
        def box(at, size) = { x: px(at.x), y: px(at.y), w: px(size.x), h: px(size.y) }
        def px(metres) = (metres * SCALE).round
        def metres(x, y) = P.restore([x / SCALE.to_f, y / SCALE.to_f])

        def placed
          @placed ||= @here.filter_map { |thing| place(thing)&.then { |box| [thing.id, box] } }.to_h
        end

        def place(thing)
          corner = corners.find { |room, _| room.id == thing.container_id }&.last or return
          return tray_box(thing, corner) if thing.kind == "tray"

          foot = F.new(thing)
          foot.corner && box(corner + foot.corner, foot.extent)
        end

        def tray_box(tray, corner)
          points = P.along(tray["along"])
          return if points.empty?

          left, right = points.map(&:x).minmax
          top, bottom = points.map(&:y).minmax
          at = corner + P.restore([left, top])
          { x: px(at.x) - (TRAY / 2), y: px(at.y) - (TRAY / 2), w: px(right - left) + TRAY, h: px(bottom - top) + TRAY }
        end

        # Beside the plan, one beneath the other.
        def waiting
          x = corners.map { |room, at| px(at.x + extent(room).x) }.max.to_i + GAP
          y = 0
          @here.reject { |thing| placed.key?(thing.id) }.to_h do |thing|
            size = thing.kind == "tray" ? P.restore([2.0, 0.3]) : F.new(thing).extent
            [thing.id, box(P.restore([0.0, 0.0]), size).merge(x:, y:)].tap { |_, place| y += place[:h] + 12 }
          end
        end

        def snap(metres) = (metres / GRID).round * GRID
        def snapped(point) = P.restore([point.x, point.y].map { |one| [snap(one), 0.0].max.round(2) })

        # The innermost room that the middle of a thing came to lie in.
        def room_at(x, y, thing)
          box = places.fetch(thing.id) { { w: 0, h: 0 } }
          cx, cy = x + (box[:w] / 2.0), y + (box[:h] / 2.0)
          within = corners.keys.select do |room|
            frame = places[room.id]
            cx.between?(frame[:x], frame[:x] + frame[:w]) && cy.between?(frame[:y], frame[:y] + frame[:h])
          end
          within.min_by { |room| extent(room).then { |size| size.x * size.y } }
        end

        def room_dropped(room, at)
          outer = corners.find { |other, _| other.id == room.container_id }&.last or return []
          [Change::Set.new(id: room.id, fact: "position", value: snapped(at - outer).to_s)]
        end

        # What was put beside the plan stands nowhere on it.
        def away(thing) = [Change::Set.new(id: thing.id, fact: "position", value: nil)]

        # A tray keeps its shape; one that has none yet begins as a short one.
        def tray_to(tray, corner)
          points = P.along(tray["along"])
          at = snapped(corner + P.restore([TRAY / 2.0 / SCALE, TRAY / 2.0 / SCALE]))
          points = [P.restore([0.0, 0.0]), P.restore([2.0, 0.0])] if points.empty?
          first = P.restore([points.map(&:x).min, points.map(&:y).min])
          Change::Set.new(id: tray.id, fact: "along", value: points.map { |point| snapped(point - first + at).to_s }.join(" "))
        end

        # Longer or shorter in either direction, its bends where they were in proportion.
        def stretched(tray, size)
          points = P.along(tray["along"])
          raise Mistake, "#{tray.name} runs nowhere yet: say along which points, such as 0.5/1 8/1" if points.empty?

          first = P.restore([points.map(&:x).min, points.map(&:y).min])
          wide, high = points.map(&:x).minmax.reduce(:-).abs, points.map(&:y).minmax.reduce(:-).abs
          band = TRAY / SCALE.to_f
          scaled = points.map do |point|
            off = point - first
            P.restore([scaled(off.x, wide, size.x - band), scaled(off.y, high, size.y - band)])
          end
          Change::Set.new(id: tray.id, fact: "along", value: scaled.map { |point| snapped(point + first).to_s }.join(" "))
        end

        def scaled(offset, was, now) = was.zero? ? 0.0 : offset * [now, GRID].max / was
      end
    end
  end
end
