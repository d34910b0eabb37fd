# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Component diagrams (UML 2.5.1, 11.6), with what stands around the system by its context.
      class ComponentDiagram < Drawing::Notation
        S = Drawing::Shapes
        P = Drawing::Pens
        NEIGHBOURS = Components::Kinds::NEIGHBOURS

        def name = "components"

        # What stands around a system comes from another family, and may not be there.
        def things =
          @things ||= ["component", "package", "class", "comment", *NEIGHBOURS.select { |kind| Model::Catalogue.kinds.key?(kind) }].freeze

        def parts = %w[port]
        def lines = ["provision", "need", "exchange", "dependency", "comment line"]
        def boundaries = %w[component package system process]
        def within?(kind) = %w[component package class].include?(kind)
        def draws?(element) = super && (element.kind != "class" || element["sort"] == Classes::Kinds::INTERFACE)
        def joins?(_thing) = true
        def passes_on?(thing) = thing.kind == "class"
        def walked?(thing) = !%w[comment package].include?(thing.kind) && super

        def examples = ["component Call desk", "interface Booking", "Call desk provides Booking"]
        def chips = [%w[component m], [Classes::Kinds::INTERFACE, "i"], %w[package p], %w[system y], %w[comment o]]

        def size(set, thing)
          case thing.kind
          when "component" then ComponentBox.new(set, thing).size
          when "class" then Ball.new(thing).size
          when "package" then Folder.size(thing)
          when "comment" then CommentBox.new(thing).size
          else [[P.width(P.fit(thing.name, :name, 180), :name) + 28, 96].max.ceil, 52]
          end
        end

        def thing_shapes(set, thing, placement)
          case thing.kind
          when "component" then ComponentBox.new(set, thing).shapes(placement.box)
          when "class" then Ball.new(thing, provided: provided?(set, thing)).shapes(placement.box)
          when "package" then Folder.closed(thing, placement.box)
          when "comment" then CommentBox.new(thing).shapes(placement.box)
          else neighbour(thing, placement.box)
          end
        end

        def boundary_shapes(set, thing, placement)
          case thing.kind
          when "component" then ComponentBox.new(set, thing).boundary(placement.box)
          when "package" then Folder.open(thing, placement.box)
          else super
          end
        end

        def closed_shapes(set, thing, placement, count)
          return Folder.closed(thing, placement.box, "#{count} inside") if thing.kind == "package"
          return thing_shapes(set, thing, placement) if thing.kind == "component"

          neighbour(thing, placement.box, "#{count} inside")
        end

        def terminal(_set, thing, placement, _line) = thing.kind == "class" ? Ball::Terminal.new(placement.box) : super

        def ends_at_parts? = true

        def part_terminal(set, thing, placement, part, line)
          found = thing.kind == "component" && ComponentBox.new(set, thing).port(part.id, placement.box)
          found ? Layout::PointTerminal.new(placement.box, *found) : terminal(set, thing, placement, line)
        end

        def obstacles(_set, thing, placement) = thing.kind == "class" ? Ball.new(thing).obstacles(placement.box) : [placement.box]

        def labels(_set, line)
          words = line.kind == "exchange" ? line["what"] || "?" : line["stereotype"]&.then { |word| "«#{word}»" }
          words ? [Drawing::Label.new(role: "middle", text: P.fit(words, :verb, 220), style: :verb)] : []
        end

        def pen(line) = LineLooks.pen(line)

        def line_shapes(_set, line, route, _labels)
          case line.kind
          when "need" then super + [Ball.socket(route.reverse)]
          when "provision" then super + [Ball.stub(route.reverse)]
          when "exchange" then super + Drawing::LineEnds::Arrow.shape(line["hands"] ? route : route.reverse)
          else super + LineLooks.ends(line, route)
          end
        end

        def legend = Samples::COMPONENTS
        def lanes? = true

        def marks(_set, element)
          return [element.kind.to_sym] if element.relation?

          [NEIGHBOURS.include?(element.kind) ? :outside : element.kind.to_sym]
        end

        def tidy(set, sheet_id, only: nil, quick: false, crowded: [])
          boundary, neighbours = only ? nil : surrounded(set, sheet_id)
          return compound(set, sheet_id, only:, quick:, crowded:) unless boundary

          inside = set.things_on(sheet_id).map(&:id) - neighbours.map(&:id)
          laid = compound(set, sheet_id, only: inside, quick:, crowded:)
          SurroundedLayout.new(self, set, laid, boundary, neighbours, lines_on(set, sheet_id)).placements
        end

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [110, 70]).candidate_positions

        # @return [Layout::Node] to lay out
        def node(set, thing, level)
          w, h = size(set, thing)
          node = Layout::Node.box(thing.id, w, h, level)
          return node unless thing.kind == "class"

          middle = Layout::Surface.new(from: Ball::SOCKET, to: Ball::SOCKET, y: 0)
          node.with(beside: false, top: middle, bottom: middle.with(y: h))
        end

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 32

        private

        def compound(set, sheet_id, only:, quick:, crowded:)
          Drawing::CompoundLayout
            .new(self, set, sheet_id, only:)
            .placements do |things, lines, sizes|
              Drawing::LayeredLayout.new(self, set, things, lines, quick:, crowded:, sizes:).placements
            end
        end

        # @return [Array(String, Array<Model::Element>), nil] the one boundary that holds something, and what stands around it; nil where
        #   anything else is outside
        def surrounded(set, sheet_id)
          nesting = Drawing::Nesting.new(set, sheet_id)
          outer = set.things_on(sheet_id).select { |thing| nesting.parent(thing.id).nil? }
          boundaries, others = outer.partition { |thing| nesting.boundary?(thing.id) && !nesting.closed?(thing.id) }
          [boundaries.first.id, others] if boundaries.one? && others.any? && others.all? { |thing| NEIGHBOURS.include?(thing.kind) }
        end

        def provided?(set, interface) = set.relations_of(interface.id, "provision").any?

        def neighbour(thing, box, words = thing.noun)
          [
            S.rect(box.x, box.y, box.w, box.h, thing.assumed ? :assumed : :outline),
            S.text(box.cx, box.y + 22, P.fit(thing.name, :name, box.w - 12), :name, :middle),
            S.text(box.cx, box.y + 39, P.fit(words, :identifier, box.w - 12), :identifier, :middle)
          ]
        end
      end
    end
  end
end
