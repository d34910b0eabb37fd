# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Class diagrams (UML 2.5.1, clauses 9 to 12).
      class ClassDiagram < Drawing::Notation
        LINES = ["association", "aggregation", "composition", "generalisation", "realisation", "dependency", "comment line"].freeze
        VARIANTS = { "attributes" => "boxes, operations folded away", "names" => "boxes, names alone" }.freeze
        SHOWN = { "attributes" => %i[attributes], "names" => [] }.freeze

        # @param shown [Array<Symbol>] compartments
        def initialize(shown: %i[attributes operations])
          super()
          @shown = shown
        end

        def name = "classes"
        def walkable? = false
        def things = %w[class package comment]
        def parts = %w[property operation literal]
        def rows = %w[class]
        def part_words(_unparser, part) = Classes::Featuring.words(part)
        def lines = LINES
        def boundaries = %w[package]
        def within?(kind) = %w[class package].include?(kind)
        def variants = VARIANTS

        def examples =
          ["class Alarm", "Alarm has +severity: Severity, -raisedAt: Time", "Alarm can +acknowledge(by: Operator): Boolean"]

        def chips =
          [
            %w[class b],
            [Classes::Kinds::ABSTRACT, "v"],
            [Classes::Kinds::INTERFACE, "i"],
            [Classes::Kinds::ENUMERATION, "n"],
            %w[package p],
            %w[comment o]
          ]

        def shown(view)
          @variants ||= SHOWN.transform_values { |shown| ClassDiagram.new(shown:) }
          @variants.fetch(view&.fetch("variant", nil), self)
        end

        def size(set, thing)
          case thing.kind
          when "package" then Folder.size(thing)
          when "comment" then CommentBox.new(thing).size
          else box(set, thing).size
          end
        end

        def thing_shapes(set, thing, placement)
          case thing.kind
          when "package" then Folder.closed(thing, placement.box)
          when "comment" then CommentBox.new(thing).shapes(placement.box)
          else box(set, thing).shapes(placement.box)
          end
        end

        def boundary_shapes(_set, package, placement) = Folder.open(package, placement.box)
        def closed_size(_set, package, count) = Folder.size(package, inside(count))
        def closed_shapes(_set, package, placement, count) = Folder.closed(package, placement.box, inside(count))

        def labels(_set, line) = LineLooks.labels(line)
        def pen(line) = LineLooks.pen(line)

        def line_shapes(set, line, route, labels)
          super + LineLooks.ends(line, route) + described(set, line, route)
        end

        # Lines to one more general class share their last run.
        def passing(route) = route.length > 3 ? route[0..-2] : super

        def preferred_routes(set, sheet_id, line)
          return [] unless LineLooks::TREES.include?(line.kind)

          special, general = line.endpoints.map { |id| set.placement(sheet_id, id)&.box }
          return [] unless special && general

          Trees.ways(special, general, beneath(set, sheet_id, line))
        end

        def ends_at_parts? = true

        def part_terminal(set, thing, placement, part, line)
          down = thing.kind == "class" && box(set, thing).row(part.id)
          down ? Layout::RowTerminal.new(placement.box, placement.y + down) : terminal(set, thing, placement, line)
        end

        def legend = Samples::CLASSES
        def marks(set, element) = element.relation? ? [element.kind.to_sym] : thing_marks(set, element)
        def lanes? = true

        # Beyond so many classes a sheet is an overview.
        OVERVIEW = 260

        def tidy(set, sheet_id, only: nil, quick: false, crowded: [])
          things, lines = part(set, sheet_id, only)
          return OverviewLayout.new(self, set, sheet_id, only, lines).placements if things.length > OVERVIEW

          Drawing::CompoundLayout
            .new(self, set, sheet_id, only:)
            .placements { |things, lines, sizes| Hierarchy.new(self, set, things, lines, quick:, crowded:, sizes:).placements }
        end

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [90, 70]).candidate_positions

        # @return [Layout::Node] to lay out
        def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level)

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 46

        private

        def box(set, one) = ClassBox.new(set, one, shown: @shown)
        def inside(count) = "#{count} inside"
        def thing_marks(set, thing) = thing.kind == "class" ? box(set, thing).marks : [thing.kind.to_sym]

        def beneath(set, sheet_id, line)
          general = line.endpoints.last
          set
            .relations_of(general, line.kind)
            .select { |one| one.endpoints.last == general }
            .filter_map { |one| set.placement(sheet_id, one.endpoints.first)&.box }
        end

        # An association that is a class too is joined to it by a dashed line.
        def described(set, line, route)
          box = line.target("class") && set.respond_to?(:sheet_id) && set.placement(set.sheet_id, line.target("class"))&.box or return []
          x, y = Layout::Polyline.middle(route)
          [Drawing::Shapes.polyline([[x, y], [x.clamp(box.x, box.right), y.clamp(box.y, box.bottom)]], :planned_line)]
        end
      end
    end
  end
end
