# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Rack sheets: racks in a row, front and rear, with what stands in them where the model has it.
      class Rack < Drawing::Notation
        NAME = "rack"

        def name = NAME
        def band = "Detail"
        def things = %w[place device]
        def draws?(element) = element.kind == "device" || (element.kind == "place" && element["level"] == "rack")
        def examples = ["rack R1, 42U", "server web-01 in R1 at U20, 2U", "switch acc-01 in R1 at U40, 1U, half depth"]
        def chips = [%w[rack r], %w[switch s], %w[server v], ["patch panel", "h"], %w[shelf f], %w[ups q]]

        def ruled? = true
        def telling = [Cabling::Rules::KIND]
        def geometry(...) = RacksGeometry.new(...)
        def fits?(_thing) = false
        def sizable?(_thing) = true

        def size(set, thing)
          return [RackFace::WIDE, Racks::Span.height(thing) * RackFace::UNIT] if thing.kind == "device"

          RackFace.new(Racks::Elevation.new(set, thing)).then { |face| [face.width, face.height] }
        end

        def thing_shapes(set, thing, placement)
          return rack(set, thing).shapes(placement.box, thing.assumed ? :assumed : :boundary) if thing.kind == "place"

          face = set.respond_to?(:geometry) && set.geometry.face_of(thing)
          mounted(thing, placement.box, face && face.wrong?(thing) ? :wrong : :heading)
        end

        # What stands in a rack is not in its way.
        def obstacles(_set, thing, placement) = thing.kind == "place" ? [] : [placement.box]

        def legend
          [
            ["planned", :box, :planned, :planned],
            ["assumed", :box, :assumed, :assumed],
            ["seen from behind", :box, :plain, :behind],
            *Legend::SEAMS.map { |seam, words| [words, :seam, seam, seam] }
          ]
        end

        def marks(set, element)
          return Legend.thing_marks(self, element) if element.kind == "device"

          rack(set, element).elevation.mounted.any? { |thing| !thing["half depth"] } ? [:behind] : []
        end

        def seam(thing) = Logical::SEAMS.fetch(thing["role"], :graphite)

        private

        def rack(set, thing) = set.respond_to?(:geometry) ? set.geometry.face(thing.id) : RackFace.new(Racks::Elevation.new(set, thing))

        def mounted(thing, box, style)
          return blank(thing, box) if thing["role"] == "blank"

          shapes = Drawing::Shapes
          figures = thing["power"] && "#{thing["power"]} W"
          room = box.w - 16 - (figures ? 50 : 0)
          [
            shapes.rect(box.x, box.y, box.w, box.h, Legend.outline(thing)),
            shapes.fill("M#{shapes.numbers(box.x, box.y)}h4v#{shapes.n(box.h)}h-4Z", Drawing::Pens::SEAMS.fetch(seam(thing))),
            shapes.text(box.x + 10, box.y + 14, Drawing::Pens.fit(thing.name, style, room), style),
            *(figures ? [shapes.text(box.right - 6, box.y + 14, figures, :caption, :end)] : []),
            *(thing["role"] == "shelf" ? [shapes.polyline([[box.x, box.bottom - 2], [box.right, box.bottom - 2]], :front)] : [])
          ]
        end

        # A cover over units that nothing stands in.
        def blank(thing, box)
          lines = (6...box.w).step(8).map { |x| "M#{Drawing::Shapes.numbers(box.x + x, box.y + 3)}v#{Drawing::Shapes.n(box.h - 6)}" }
          [Drawing::Shapes.rect(box.x, box.y, box.w, box.h, Legend.outline(thing)),
           *(lines.any? ? [Drawing::Shapes.path(lines.join, :cell)] : [])]
        end
      end
    end
  end
end
