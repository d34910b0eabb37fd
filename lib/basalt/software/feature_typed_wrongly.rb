# frozen_string_literal: true

module Basalt
  module Software
    # What a check finds of attributes that are called one thing and typed as another.
    class FeatureTypedWrongly < Basalt::Checks::Check
      private

      def wrong?(part, names, types) = part["type"].to_s.match?(types) && part.name.match?(names)

      # @param type [String] that suits
      def mistyped(part, words, why, type)
        owner = set.element(part.owner_id)
        finding(
          [owner.id, part.id],
          "#{owner.name}.#{part.name} #{words}",
          why,
          repair: repair("Make it #{type}", Change::Set.new(id: part.id, fact: "type", value: type))
        )
      end
    end
  end
end
