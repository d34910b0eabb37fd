# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Floor plans: a room, or the rooms of a floor, to scale, with racks, things and trays where they stand, over an image of
      # the building where there is one.
      class FloorPlan < Drawing::Notation
        NAME = "floor plan"
        S = Drawing::Shapes
        P = Drawing::Pens
        G = FloorGeometry

        def name = NAME
        def walkable? = false
        def band = "Physical"
        def things = %w[place device tray]
        def within?(kind) = things.include?(kind)
        def examples = ["rack R1, 42U, stands at 1/2", "tray T1, along 0.5/1 6/1 6/4", "R1 stands at 2/2 turned 90"]
        def chips = [%w[rack r], %w[tray y], %w[room m], %w[switch s], %w[server v], ["access point", "x"], ["patch panel", "h"], %w[ups q]]

        def ruled? = true
        def geometry(...) = FloorGeometry.new(...)
        def fits?(_thing) = false
        def sizable?(_thing) = true

        # Images of the building lie beneath all else.
        def beneath?(thing) = !thing.description.figure.nil? && !thing["image"].nil?

        def size(_set, thing)
          return [2 * G::SCALE, G::TRAY] if thing.kind == "tray"

          Floors::Footprint.new(thing).extent.then { |size| [(size.x * G::SCALE).round, (size.y * G::SCALE).round] }
        end

        def thing_shapes(set, thing, placement)
          return room(thing, placement.box) if thing.kind == "place" && thing["level"] != "rack"

          shapes = thing.kind == "tray" ? tray(thing, placement.box) : standing(thing, placement.box)
          set.respond_to?(:geometry) && !set.geometry.placed?(thing) ? shapes + waiting(placement.box) : shapes
        end

        # What stands in a room is not in its way.
        def obstacles(_set, thing, placement) = thing.kind == "device" || thing["level"] == "rack" ? [placement.box] : []

        def seam(thing) = thing.kind == "place" ? :slate : Logical::SEAMS.fetch(thing["role"], :graphite)

        def legend
          [
            ["front", :pen, :front, :front],
            ["tray", :pen, :tray, :tray],
            ["planned", :box, :planned, :planned],
            ["assumed", :box, :assumed, :assumed],
            *Legend::SEAMS.map { |seam, words| [words, :seam, seam, seam] }
          ]
        end

        def marks(_set, element)
          case element.kind
          when "tray" then [:tray]
          when "place" then element["level"] == "rack" ? [:front] : []
          else Legend.thing_marks(self, element)
          end
        end

        # How far a tray runs.
        def computed(_set, element)
          element.kind == "tray" ? [["runs", "#{length(Floors::Point.along(element["along"])).round(1)} m"]] : []
        end

        def computed_headings(kind) = kind == "tray" ? ["runs"] : []

        private

        def length(points) = points.each_cons(2).sum { |one, other| Math.hypot(one.x - other.x, one.y - other.y) }

        # Walls, with a mark at each metre, and its name above.
        def room(thing, box)
          marks = (1...(box.w / G::SCALE.to_f).ceil).map { |n| "M#{S.numbers(box.x + (n * G::SCALE), box.y)}v5" } +
                  (1...(box.h / G::SCALE.to_f).ceil).map { |n| "M#{S.numbers(box.x, box.y + (n * G::SCALE))}h5" }
          size = Floors::Footprint.new(thing).told
          [
            S.rect(box.x, box.y, box.w, box.h, :wall),
            *(marks.any? ? [S.path(marks.join, :rule)] : []),
            S.text(box.x, box.y - 8, P.fit("#{thing.name}, #{S.n(size.x)} × #{S.n(size.y)} m", :name, [box.w, 260].max), :name)
          ]
        end

        def standing(thing, box)
          [
            S.rect(box.x, box.y, box.w, box.h, Legend.outline(thing)),
            *(thing.kind == "place" ? [front(thing, box)] : [S.fill("M#{S.numbers(box.x, box.y)}h3v#{S.n(box.h)}h-3Z", P::SEAMS.fetch(seam(thing)))]),
            *caption(thing, box)
          ]
        end

        def waiting(box) = [S.text(box.right + 6, box.cy + 4, "stands nowhere yet", :caption)]

        # Along the wider side; what has no room for it is told when it is pointed at.
        def caption(thing, box)
          room = box.w - 8
          text = P.fit(thing.name, :caption, room)
          text.empty? ? [] : [S.text(box.cx, box.cy + 4, text, :caption, :middle)]
        end

        def front(thing, box)
          inset = 3
          points = {
            bottom: [[box.x + inset, box.bottom - inset], [box.right - inset, box.bottom - inset]],
            top: [[box.x + inset, box.y + inset], [box.right - inset, box.y + inset]],
            left: [[box.x + inset, box.y + inset], [box.x + inset, box.bottom - inset]],
            right: [[box.right - inset, box.y + inset], [box.right - inset, box.bottom - inset]]
          }.fetch(Floors::Footprint.new(thing).front)
          S.polyline(points, :front)
        end

        # Rungs across a band, along its points.
        def tray(thing, box)
          points = Floors::Point.along(thing["along"])
          half = G::TRAY / 2
          return unlaid(thing, box) if points.empty?

          left, top = points.map(&:x).min, points.map(&:y).min
          drawn = points.map { |point| [box.x + half + ((point.x - left) * G::SCALE), box.y + half + ((point.y - top) * G::SCALE)] }
          x, y = drawn.first
          [S.polyline(drawn, :tray_edge), S.polyline(drawn, :tray_bed), S.polyline(drawn, :tray), S.polyline(drawn, :grip),
           S.text(x + 4, y - half - 3, P.fit(thing.name, :caption, 120), :caption)]
        end

        # A tray of which it is not said along what it runs.
        def unlaid(tray, box)
          [S.rect(box.x, box.y, box.w, box.h, :planned), S.text(box.x + 4, box.cy + 4, P.fit(tray.name, :caption, box.w - 8), :caption)]
        end
      end
    end
  end
end
