# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Use case diagrams (UML 2.5.1, clause 18).
      class UseCaseDiagram < Drawing::Notation
        LINES = ["involvement", "inclusion", "extension", "actor generalisation", "use case generalisation", "comment line"].freeze

        def name = "use cases"
        def walkable? = false
        def band = "Concept"
        def things = ["actor", "use case", "system", "package", "comment"]
        def parts = %w[step branch]
        def told = %w[thread nobody]
        def lines = LINES
        def boundaries = %w[system package]
        def within?(kind) = ["use case", "package"].include?(kind)

        def examples = ["use case Acknowledge alarm", "actor Operator", "Operator starts Acknowledge alarm"]
        def chips = [%w[actor a], ["use case", "e"], %w[system y], %w[package p], %w[comment o]]

        def size(set, thing)
          case thing.kind
          when "actor" then ActorFigure.new(thing).size
          when "use case" then UseCaseOval.new(thing).size
          when "package" then Folder.size(thing)
          when "comment" then CommentBox.new(thing).size
          else closed_size(set, thing, 0)
          end
        end

        def thing_shapes(set, thing, placement)
          case thing.kind
          when "actor" then ActorFigure.new(thing).shapes(placement.box)
          when "use case" then UseCaseOval.new(thing).shapes(placement.box)
          when "package" then Folder.closed(thing, placement.box)
          when "comment" then CommentBox.new(thing).shapes(placement.box)
          else closed_shapes(set, thing, placement, 0)
          end
        end

        def boundary_shapes(_set, thing, placement) =
          thing.kind == "package" ? Folder.open(thing, placement.box) : Drawing::Boundary.shapes(thing, placement.box)

        def closed_size(_set, thing, count) = Folder.size(thing, count.zero? ? thing.noun : "#{count} inside")

        def closed_shapes(_set, thing, placement, count)
          return Folder.closed(thing, placement.box, "#{count} inside") if thing.kind == "package"

          box = placement.box
          [
            Drawing::Shapes.rect(box.x, box.y, box.w, box.h, thing.assumed ? :assumed_boundary : :boundary),
            Drawing::Shapes.text(box.cx, box.cy, Drawing::Pens.fit(thing.name, :name, box.w - 12), :name, :middle),
            Drawing::Shapes.text(box.cx, box.cy + 15, count.zero? ? thing.noun : "#{count} inside", :identifier, :middle)
          ]
        end

        def terminal(_set, thing, placement, _line)
          case thing.kind
          when "use case" then Layout::CircleTerminal.new(placement.box)
          when "actor" then ActorTerminal.new(placement.box, boxed: thing["nature"] == "system")
          else super
          end
        end

        def obstacles(_set, thing, placement)
          case thing.kind
          when "use case" then Layout::CircleTerminal.cover(placement.box)
          when "actor" then ActorFigure.new(thing).obstacles(placement.box)
          else [placement.box]
          end
        end

        def labels(_set, line)
          words =
            case line.kind
            when "inclusion" then "«include»"
            when "extension" then extension(line)
            end
          words ? [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(words, :verb, 220), style: :verb)] : []
        end

        def pen(line) = LineLooks.pen(line)

        def line_shapes(_set, line, route, _labels)
          super + LineLooks.ends(line, route)
        end

        def legend = Samples::USE_CASES

        def marks(_set, element)
          return [element.kind.end_with?("generalisation") ? :generalisation : element.kind.to_sym] if element.relation?

          [[*(element["nature"] unless element["nature"] == "person"), element.kind].join(" ").to_sym]
        end

        def tidy(set, sheet_id, only: nil, **) = UseCaseLayout.new(self, set, sheet_id, *part(set, sheet_id, only)).placements

        # An actor stands beside whatever use cases there are.
        def candidate_positions(set, sheet_id, thing, size, extent)
          return ActorPlaces.new(set, sheet_id, thing, size).each if thing.kind == "actor" && thing.container_id.nil?

          Drawing::Near.new(set, sheet_id, thing, size, extent, [130, 60]).candidate_positions
        end

        # @return [Layout::Node] to lay out
        def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level)

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 30

        private

        def extension(line) =
          ["«extend»", ("[#{line["condition"]}]" if line["condition"])].compact.join(" ")
      end
    end
  end
end
