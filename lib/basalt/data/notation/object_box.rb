# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # A database object as a box with its noun and its name; an enumeration lists its values.
      class ObjectBox
        HEAD = 40
        ROW = 16
        # Values that are shown, before it says how many more there are.
        MOST = 12
        LEAST_WIDTH = 120
        MOST_WIDTH = 320
        S = Drawing::Shapes

        # @param object [Model::Element]
        def initialize(object)
          @object = object
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          texts = [[@object.name, :member], [@object.noun, :type], *rows.map { |row| [row, :type] }]
          wanted = texts.map { |text, pen| Drawing::Pens.width(text, pen) }.max
          [(wanted + 24).clamp(LEAST_WIDTH, MOST_WIDTH).ceil, HEAD + (rows.empty? ? 0 : 8 + (ROW * rows.length))]
        end

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @object.assumed ? :assumed : :plain),
            S.text(box.x + 12, box.y + 15, @object.noun, :type),
            S.text(box.x + 12, box.y + 32, Drawing::Pens.fit(@object.name, :member, box.w - 20), :member),
            *list(box)
          ]
        end

        private

        def values
          @values ||= (@object.noun == Physical::Kinds::ENUMERATION && Physical::Enumeration.values(@object["written"].to_s)) || []
        end

        def rows = values.length > MOST ? [*values.first(MOST - 1), "#{values.length - MOST + 1} more"] : values

        def list(box)
          return [] if rows.empty?

          [
            S.path("M#{S.n box.x} #{S.n box.y + HEAD}H#{S.n box.right}", :rule),
            *rows.each_with_index.map do |row, index|
              S.text(box.x + 12, box.y + HEAD + 15 + (ROW * index), Drawing::Pens.fit(row, :type, box.w - 20), :type)
            end
          ]
        end
      end
    end
  end
end
