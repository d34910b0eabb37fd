# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A name that is not in the case, or longer than, the house has agreed on.
      class NameBreaksRule < Basalt::Checks::Check
        rule "name-breaks-rule", :hint, reads: %w[table column convention], each: %w[table column]

        SHAPES = {
          "snake" => /\A[^A-Z]*\z/,
          "upper" => /\A[^a-z]*\z/,
          "camel" => /\A[^A-Z_][^_]*\z/,
          "pascal" => /\A[^a-z_][^_]*\z/
        }.freeze

        def self.given(set) = set.of_kind(Logical::Conventions::KIND).first&.facts

        def about(one)
          schema, name = one.kind == "table" ? SQLName.parts(one.name) : [nil, one.name]
          return [] if fits?(name)

          owner = one.owner_id ? set.element(one.owner_id) : one
          better = house.name(name.gsub(/([a-z0-9])([A-Z])/, '\\1 \\2').tr("_", " "))
          better = SQLName.of(schema, better) if schema
          [
            finding(
              owner.id,
              "#{one.name}#{" of #{owner.name}" if one.owner_id} is not named as the house names",
              "Names are in #{house.case} case here, of #{house.longest} bytes at most.",
              repair: repair("Call it #{better}", Change::Set.new(id: one.id, fact: "name", value: better))
            )
          ]
        end

        private

        def house = @house ||= Logical::Conventions.of(set)

        def fits?(name) = name.bytesize <= house.longest && name.match?(SHAPES.fetch(house.case)) && !name.match?(/\s/)
      end
    end
  end
end
