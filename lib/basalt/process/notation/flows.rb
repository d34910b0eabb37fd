# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # What the notations have in common that draw what flows between things.
      class Flows < Drawing::Notation
        SIZE = 100
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param boxes [Boolean] processes as rounded boxes with a head (Gane and Sarson, 1979) instead
        #   of circles (DeMarco, 1978)
        def initialize(boxes: false)
          super()
          @boxes = boxes
        end

        def lines = %w[flow]
        def plain = "circles"
        def variants = { "boxes" => "rounded boxes" }
        def shown(view) = view&.fetch("variant", nil) == "boxes" && !@boxes ? (@other ||= self.class.new(boxes: true)) : self

        def size(set, thing)
          case thing.kind
          when "process"
            @boxes ? Rounded.new(set, thing).size : Bubble.new(set, thing).size
          when "store"
            OpenStore.new(set, thing, boxes: @boxes).size
          else
            Square.new(set, thing, boxes: @boxes).size
          end
        end

        def thing_shapes(set, thing, placement)
          symbol(set, thing, placement).shapes(placement.box)
        end

        def terminal(set, thing, placement, line)
          return Layout::CircleTerminal.new(placement.box) if circle?(thing)
          return Layout::SidesTerminal.new(placement.box, [[0, -1], [0, 1], [-1, 0]]) if thing.kind == "store"

          super
        end

        def obstacles(set, thing, placement) = circle?(thing) ? Layout::CircleTerminal.cover(placement.box) : super

        def labels(_set, flow)
          words = [flow.name == Kinds::UNSAID ? "?" : flow.name, *flow["protocol"]].join(" / ")
          [Drawing::Label.new(role: "middle", text: P.fit(words, :verb, 220), style: :verb)]
        end

        def line_shapes(_set, flow, route, _labels) = super + Drawing::LineEnds::Arrow.shape(route)
        def pen(flow) = flow["state"] == "planned" || flow.assumed ? :planned_line : :line

        # The number of a process is its place among the others.
        def tells_of_others? = true

        def tellers(set, altered)
          levels = altered.select { |one| one.kind == "process" }.map(&:container_id).uniq
          levels.flat_map { |id| Levels.children(set, id) }.uniq(&:id).flat_map { |one| Levels.tree(set, one.id) }.map(&:id)
        end

        def computed(set, thing) = thing.kind == "process" ? [["number", Levels.number(set, thing) || "none"]] : super
        def computed_headings(kind) = kind == "process" ? ["number"] : super

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [130, 80]).candidate_positions

        # @return [Layout::Node] to lay out
        def node(set, thing, level)
          w, h = size(set, thing)
          node = Layout::Node.box(thing.id, w, h, level).with(beside: false)
          if circle?(thing)
            node.with(
              top: Layout::Surface.new(from: w * 0.14, to: w * 0.86, y: 0),
              bottom: Layout::Surface.new(from: w * 0.14, to: w * 0.86, y: h)
            )
          else
            node
          end
        end

        # @return [Integer] room for arrows at the ends of lines, px
        def strip = 30

        # Who is outside and what is stored may stand on both sides, so that lines need not cross.
        def repeatable?(set, sheet_id, thing) =
          thing.kind == "store" || (thing.kind == "party" && set.sheets[sheet_id].subject_id != thing.id)

        def marks(set, element)
          return [element["state"] == "planned" ? :planned : :flow] if element.relation?

          [element.kind.to_sym, *(:"#{element.kind} again" unless set.elements[element.id])]
        end

        def legend
          [
            ["process", :shapes, @boxes ? Samples.rounded : Samples.circle, :process],
            ["outside", :shapes, Samples.square(@boxes), :party],
            ["system", :shapes, Samples.system, :system],
            ["store", :shapes, @boxes ? Samples.open_box : Samples.store, :store],
            ["stands more than once", :shapes, Samples.square_again, :"party again"],
            ["stands more than once", :shapes, Samples.store_again, :"store again"],
            ["flow", :shapes, Samples.arrow(:line), :flow],
            ["planned flow", :shapes, Samples.arrow(:planned_line), :planned]
          ]
        end

        private

        def circle?(thing) = thing.kind == "process" && !@boxes

        def symbol(set, thing, placement)
          sheet = set.sheets[placement.sheet_id]
          case thing.kind
          when "process"
            (@boxes ? Rounded : Bubble).new(set, thing, sheet:)
          when "store"
            OpenStore.new(set, thing, boxes: @boxes, repeated: repeated?(set, placement))
          else
            Square.new(set, thing, boxes: @boxes, middle: sheet&.subject_id == thing.id, repeated: repeated?(set, placement))
          end
        end

        def repeated?(set, placement) = set.further(placement.sheet_id, placement.element_id).any?

        # Lines that were laid out to the box around a circle come to the circle.
        def touched(set, laid)
          laid.to_h do |id, place|
            line = set.element(id)
            next id, place unless place[:route] && line.relation?

            points = place[:route]["points"]
            first, last =
              [[line.target("from"), points.first], [line.target("to"), points.last]].map do |end_id, point|
                touch(set, laid, end_id, point)
              end
            [id, { route: place[:route].merge("points" => [first, *points[1..-2], last]) }]
          end
        end

        def touch(set, laid, id, point)
          place = laid[id]
          return point unless place && place[:x] && circle?(set.element(id))

          Layout::CircleTerminal.touch(Layout::Box.new(**place.slice(:x, :y, :w, :h)), point)
        end
      end
    end
  end
end
