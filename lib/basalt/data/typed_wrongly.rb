# frozen_string_literal: true

module Basalt
  module Data
    # What a check finds of columns that are called one thing and typed as another.
    class TypedWrongly < Basalt::Checks::Check
      private

      # @param names [Regexp] what such columns are called
      # @param types [Regexp] that do not suit them
      # @return [Boolean] whether it is one of them
      def wrong?(column, names, types) = column["type"].to_s.match?(types) && column.name.match?(names)

      # @param type [String] that suits
      def mistyped(column, words, why, type)
        table = set.element(column.owner_id)
        finding(
          table.id,
          "#{table.name}.#{column.name} #{words}",
          why,
          repair: repair("Make it #{type}", Change::Set.new(id: column.id, fact: "type", value: type))
        )
      end
    end
  end
end
