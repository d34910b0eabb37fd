# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # An entity as a box: its name, and beneath it a row for each attribute, parts set in.
      class AttributeRows
        HEAD = 30
        ROW = 18
        FOOT = 8
        LEAST = 130
        MOST = 280
        MARK = 26
        INDENT = 14
        S = Drawing::Shapes

        def initialize(set, entity, folded: false)
          @entity = entity
          @rows = folded ? [] : Describing.of(set, entity.id).flat_map { |attribute| rows(set, attribute, 0) }
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          widest = [
            Drawing::Pens.width(@entity.name, :name) + 24,
            *@rows.map { |attribute, depth| MARK + (depth * INDENT) + 12 + Drawing::Pens.width(caption(attribute), :member) }
          ].max
          [[LEAST, [widest, MOST].min].max.ceil, HEAD + (@rows.empty? ? 0 : FOOT + (ROW * @rows.length))]
        end

        def marks = @rows.map { |attribute, _| mark(attribute) }.uniq

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @entity.assumed ? :assumed : :outline),
            *inner(box),
            S.text(box.cx, box.y + 20, Drawing::Pens.fit(@entity.name, :name, box.w - 16), :name, :middle),
            *list(box)
          ]
        end

        private

        def rows(set, attribute, depth) =
          [[attribute, depth], *Describing.of(set, attribute.id).flat_map { |part| rows(set, part, depth + 1) }]

        # A second outline for what is weak.
        def inner(box) = Dependence.weak?(@entity) ? [S.rect(box.x + 3, box.y + 3, box.w - 6, box.h - 6, :inner)] : []

        def list(box)
          return [] if @rows.empty?

          rule = S.path("M#{S.n box.x} #{S.n box.y + HEAD}H#{S.n box.right}", :rule)
          [rule] +
            @rows.each_with_index.map do |(attribute, depth), index|
              y = box.y + HEAD + 17 + (index * ROW)
              left = MARK + (depth * INDENT)
              S.part(
                attribute.id,
                [
                  S.rect(box.x + 2, y - 13, box.w - 4, ROW, :row),
                  S.text(box.x + left - MARK + 12, y, mark(attribute), :label),
                  S.text(box.x + left, y, Drawing::Pens.fit(caption(attribute), :member, box.w - left - 8), :member)
                ]
              )
            end
        end

        def caption(attribute)
          also = [*("many" if attribute["many"]), *("over time" if attribute["kept"])]
          also.empty? ? attribute.name : "#{attribute.name} (#{also.join(", ")})"
        end

        def mark(attribute)
          return "#" if attribute["key"]
          return "~" if attribute["partial"]
          return "/" if attribute["derived"]

          attribute["required"] ? "*" : "o"
        end
      end
    end
  end
end
