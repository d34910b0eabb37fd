# frozen_string_literal: true

module Basalt
  module Data
    # An attribute as a sentence tells it: its name, the facts said of it, and its parts.
    AttributeItem = Value.of(:name, :facts, :parts) do
      # @return [Array<String>] the names in it, in the order in which they are said
      def mentions = [name, *parts.flat_map(&:mentions), *facts["source"]]
    end
  end
end
