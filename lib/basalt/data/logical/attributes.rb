# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # The columns of what has attributes: those with parts give way to their parts; those that
      # occur many times or are kept over time are not among them.
      class Attributes
        def initialize(set, house, owner)
          @set = set
          @house = house
          @owner = owner
        end

        # @return [Array<Column>]
        def columns
          Describing
            .of(@set, @owner.id)
            .reject { |attribute| attribute["many"] || attribute["kept"] || left_out?(attribute) }
            .flat_map { |attribute| of(attribute) }
        end

        # @return [Array<Column>] of one attribute
        def of(attribute, before = [], key: attribute["key"], required: attribute["required"])
          parts = Describing.of(@set, attribute.id)
          words = [*before, attribute["many"] ? Noun.of(@set, attribute).singular : attribute.name]
          return parts.flat_map { |part| of(part, words, key: key || part["key"], required: required || part["required"]) } if parts.any?

          [
            Column.new(
              thread: attribute.id,
              name: @house.column(words.join(" ")),
              type: @house.type(words.join(" ")),
              key: key ? true : false,
              required: key || required ? true : false,
              generated: generated(attribute)
            )
          ]
        end

        private

        def left_out?(attribute) = attribute["derived"] && !computed(attribute).column?
        def generated(attribute) = attribute["derived"] ? computed(attribute).expression : nil
        def computed(attribute) = Computed.new(@set, @house, attribute)
      end
    end
  end
end
