# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Sequence diagrams (UML 2.5.1, 17.8). Where everything stands follows from the order.
      class SequenceDiagram < Drawing::Notation
        include Scripted

        S = Drawing::Shapes
        K = Interactions::Kinds

        def name = "sequence"
        def things = %w[participant fragment]
        def parts = %w[operand]
        def lines = %w[message mark]

        def joining = %w[message]

        def cursor(draft, sheet_id, y: nil, behind_id: nil)
          return SequenceGeometry.new(draft, sheet_id).spot(y).cursor(draft) if y

          element = behind_id && draft.element(behind_id)
          Interactions::Cursor.behind(draft, element, inside: true) if element && Interactions::Script::KINDS.include?(element.kind)
        end

        def ruled? = true
        def geometry(...) = SequenceGeometry.following(...)
        def fits?(_thing) = false
        def beneath?(thing) = thing.kind == "fragment" && thing["operator"] != K::REFERENCE
        def joins?(thing) = thing.kind == "participant"

        # What it takes before it has a place.
        def size(_set, thing)
          return [120, 60] if thing.kind == "fragment"

          lifeline = Lifeline.new(thing)
          [lifeline.width, lifeline.height]
        end

        def thing_shapes(set, thing, placement)
          geometry = set.geometry
          return geometry.frame(thing).shapes(placement.box) if thing.kind == "fragment"

          (geometry.lifeline(thing.id) || Lifeline.new(thing)).shapes(placement.box, geometry.bars(thing.id), geometry.ended?(thing.id))
        end

        # Lines go on through lifelines and frames.
        def obstacles(_set, thing, placement)
          return thing["operator"] == K::REFERENCE ? [placement.box] : [] if thing.kind == "fragment"

          Lifeline.new(thing).obstacles(placement.box)
        end

        def labels(set, line)
          return [] unless set.respond_to?(:geometry)

          words = set.geometry.words(line.id)
          figure = Words.new(words, folded: line.kind == "mark" && line["sort"] != K::TIME)
          words.empty? ? [] : [Drawing::Label.new(role: "middle", text: line.name, style: :verb, figure:)]
        end

        def pen(line)
          return :thread if line.kind == "mark"

          [K::ANSWER, K::CREATION].include?(line["sort"]) ? :planned_line : :line
        end

        # Calls end in a filled arrow, all else in an open one (17.4.4); the dot is where nobody known speaks or hears.
        def line_shapes(_set, line, route, _labels)
          return super if line.kind == "mark"

          head = [K::CALL, K::DESTRUCTION, nil].include?(line["sort"]) ? Drawing::LineEnds::Arrow.shape(route) : [Drawing::LineEnds::OpenArrow.path(route.reverse)]
          super + head + dot(line, route)
        end

        def passing(_route) = []

        def legend = SequenceSamples::ALL

        def marks(_set, element)
          case element.kind
          when "message" then [(element["sort"] || K::CALL).to_sym, *element["open"]&.to_sym]
          when "mark" then [element["sort"].to_s.to_sym]
          when "fragment" then [element["operator"].to_s.to_sym]
          else []
          end
        end

        private

        def dot(line, route)
          at = { K::FOUND => route.first, K::LOST => route.last }[line["open"]] or return []
          [S.path("M#{S.numbers(at[0] - 4, at[1])}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0Z", :bar)]
        end
      end
    end
  end
end
