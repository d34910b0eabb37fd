# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Entities as boxes that list their attributes, relationships with crow's feet
      # (Everest, 1976); key, required and optional attributes are marked #, * and o (Barker, 1990).
      class Entities < Drawing::Notation
        VARIANTS = {
          "folded" => "boxes, attributes folded away",
          "diamonds" => "diamonds and ovals",
          "diamonds folded" => "diamonds, attributes folded away"
        }.freeze

        # @param folded [Boolean] without attributes
        def initialize(folded: false)
          super()
          @folded = folded
        end

        def name = "entities"
        def walkable? = false
        def band = "Concept"
        def things = %w[entity meeting]
        def parts = %w[attribute]
        def rows = %w[entity]
        def part_words(unparser, part) = Describing.words(unparser, part)
        def lines = %w[relationship specialisation participation dependence]

        def examples =
          ["entity Crew", "Crew has code key, name required", "a Crew leads zero or more Crew; a Crew is led by zero or one Crew"]

        def chips = [%w[entity e], [Kinds::WEAK, "w"], %w[meeting m]]
        def variants = VARIANTS

        def shown(view)
          @variants ||= {
            "folded" => Entities.new(folded: true),
            "diamonds" => Diamonds.new,
            "diamonds folded" => Diamonds.new(folded: true)
          }
          @variants.fetch(view&.fetch("variant", nil), self)
        end

        # What a weak entity depends on is drawn as the relationship that joins the two, where there is one.
        def draws_line?(set, line) = super && !(line.kind == "dependence" && Dependence.identifying(set, line))

        def size(set, thing) =
          thing.kind == "meeting" ? Lozenge.new(thing.name).then { |shape| [shape.width, shape.height] } : attribute_rows(set, thing).size

        def thing_shapes(set, thing, placement)
          return Lozenge.new(thing.name).shapes(placement.box.cx, placement.box.cy) if thing.kind == "meeting"

          attribute_rows(set, thing).shapes(placement.box)
        end

        def labels(set, line)
          case line.kind
          when "relationship"
            [Drawing::Label.new(role: "middle", text: verbs(set, line), style: :verb), *roles(line)]
          when "specialisation"
            split(set, line)
          when "dependence"
            [Drawing::Label.new(role: "middle", text: "of", style: :verb)]
          else
            roles(line)
          end
        end

        def line_shapes(set, line, route, labels)
          return super + [Drawing::LineEnds::Triangle.path(route.reverse)] if line.kind == "specialisation"

          ends = [[line.ends[0], route], [line.ends[1], route.reverse]]
          super +
            ends.flat_map { |joined, points| Drawing::LineEnds::CrowsFoot.shapes(points, Cardinality.read(joined.facts["cardinality"])) }
        end

        def pen(line) = line.kind == "dependence" ? :planned_line : :line

        def legend
          [
            ["key", :text, "#", "#"],
            ["partial key", :text, "~", "~"],
            ["required", :text, "*", "*"],
            ["optional", :text, "o", "o"],
            ["derived", :text, "/", "/"],
            ["relationship", :pen, :line, :line],
            *Samples::ENDS.map { |words, *ends| [words, :shapes, Samples.ending(*ends), [:end, *ends]] },
            ["kind of", :shapes, Samples.kind, :kind],
            ["weak entity", :shapes, Samples.double_box, :weak]
          ]
        end

        def marks(set, element)
          return line_marks(element) if element.relation?

          [
            *(:weak if element.kind == "entity" && Dependence.weak?(element)),
            *(element.kind == "entity" && !@folded ? attribute_rows(set, element).marks : [])
          ]
        end

        def lanes? = true

        def tidy(set, sheet_id, only: nil, quick: false, crowded: []) =
          Drawing::LayeredLayout.new(self, set, *part(set, sheet_id, only), quick:, crowded:).placements

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [90, 90]).candidate_positions

        # @return [Layout::Node] to lay out
        def node(set, thing, level)
          w, h = size(set, thing)
          node = Layout::Node.box(thing.id, w, h, level)
          thing.kind == "meeting" ? node.with(beside: false, **Entities.corners(w, h)) : node
        end

        # Lines end at the upper and the lower corner of a diamond.
        def self.corners(w, h)
          { top: Layout::Surface.new(from: w / 2, to: w / 2, y: 0), bottom: Layout::Surface.new(from: w / 2, to: w / 2, y: h) }
        end

        def terminal(_set, thing, placement, _line)
          thing.kind == "meeting" ? Layout::CornersTerminal.new(placement.box, [[0, -1], [0, 1], [-1, 0], [1, 0]]) : super
        end

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 36

        private

        def line_marks(line)
          return [:kind] if line.kind == "specialisation"

          [:line, *line.ends.filter_map { |joined| end_mark(joined) if line.kind == "relationship" }.uniq]
        end

        # A number that is neither none, one nor any is told beside the line.
        def end_mark(joined)
          found = Cardinality.read(joined.facts["cardinality"])
          mark = [:end, found.least, found.most]
          mark if Samples::ENDS.any? { |_, *ends| ends == mark.drop(1) }
        end

        def attribute_rows(set, entity) = AttributeRows.new(set, entity, folded: @folded)

        def verbs(set, relationship)
          verbs = [relationship.name, relationship["back"]].compact.join(" / ")
          attributes = @folded ? [] : Describing.of(set, relationship.id).map(&:name)
          Drawing::Pens.fit(attributes.empty? ? verbs : "#{verbs} (#{attributes.join(", ")})", :verb, 260)
        end

        def roles(line)
          line.ends.filter_map do |joined|
            if joined.facts["role"]
              Drawing::Label.new(role: joined.role, text: Drawing::Pens.fit(joined.facts["role"], :verb, 120), style: :verb)
            end
          end
        end

        # The first of the kinds says how they divide the general entity.
        def split(set, line)
          general = set.element(line.target("general"))
          unless general["split"] &&
                 set.relations_of(general.id, "specialisation").find { |one| one.target("general") == general.id }&.id == line.id
            return []
          end

          words = [general["split"] == "disjoint" ? "either" : "any of", *("all" if general["complete"])].join(", ")
          [Drawing::Label.new(role: "middle", text: words, style: :verb)]
        end
      end
    end
  end
end
