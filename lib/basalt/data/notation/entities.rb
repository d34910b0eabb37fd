# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Entities as boxes that list their attributes, relationships with crow's feet
      # (Everest, 1976); key, required and optional attributes are marked #, * and o (Barker, 1990).
      class Entities < Drawing::Notation
        HEAD = 30
        ROW = 18
        FOOT = 8
        LEAST = 130
        MOST = 280
        MARK = 26

        def name = "entities"
        def band = "Concept"
        def things = %w[entity]
        def lines = %w[relationship]
        def examples = ["entity Crew", "Crew has code key, name required", "a Crew carries out zero or more Work Order"]
        def chips = [%w[entity e]]

        def size(set, entity)
          attributes = Describing.of(set, entity.id)
          widest = [Drawing::Pens.width(entity.name, :name) + 24, *attributes.map { |a| MARK + 12 + Drawing::Pens.width(caption(a), :member) }].max
          [[LEAST, [widest, MOST].min].max.ceil, HEAD + (attributes.empty? ? 0 : FOOT + (ROW * attributes.length))]
        end

        def thing_shapes(set, entity, placement)
          box = placement.box
          attributes = Describing.of(set, entity.id)
          head = Drawing::Shapes.text(box.cx, box.y + 20, Drawing::Pens.fit(entity.name, :name, box.w - 16), :name, :middle)
          [Drawing::Shapes.rect(box.x, box.y, box.w, box.h, entity.assumed ? :assumed : :outline), head, *rows(box, attributes)]
        end

        def labels(_set, relationship)
          verbs = [relationship.name, relationship["back"]].compact.join(" / ")
          [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(verbs, :verb, 220), style: :verb)]
        end

        def line_shapes(set, relationship, route)
          ends = [[relationship.ends[0], route], [relationship.ends[1], route.reverse]]
          super + ends.flat_map { |joined, points| CrowsFoot.shapes(points, Cardinality.read(joined.facts["cardinality"])) }
        end

        def legend
          [["key", :text, "#", "#"], ["required", :text, "*", "*"], ["optional", :text, "o", "o"], ["relationship", :pen, :line, :line]]
        end

        def marks(set, element)
          element.relation? ? [:line] : Describing.of(set, element.id).map { |attribute| mark(attribute) }.uniq
        end

        def tidy(set, sheet_id, only: nil) = EntitiesLayout.new(self, set, *part(set, sheet_id, only)).placements

        def spots(_set, _sheet_id, _thing, size, extent)
          extent ||= Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
          (0..40).lazy.flat_map { |row| (0..5).map { |column| [extent.x + (column * (size[0] + 90)), extent.y + (row * 110)] } }
        end

        private

        def caption(attribute) = attribute["many"] ? "#{attribute.name} (many)" : attribute.name

        def mark(attribute)
          return "#" if attribute["key"]

          attribute["required"] ? "*" : "o"
        end

        def rows(box, attributes)
          return [] if attributes.empty?

          rule = Drawing::Shapes.path("M#{Drawing::Shapes.n box.x} #{Drawing::Shapes.n box.y + HEAD}H#{Drawing::Shapes.n box.right}", :rule)
          [rule] + attributes.each_with_index.flat_map do |attribute, index|
            y = box.y + HEAD + 17 + (index * ROW)
            [Drawing::Shapes.text(box.x + 12, y, mark(attribute), :label),
             Drawing::Shapes.text(box.x + MARK, y, Drawing::Pens.fit(caption(attribute), :member, box.w - MARK - 8), :member)]
          end
        end
      end
    end
  end
end
