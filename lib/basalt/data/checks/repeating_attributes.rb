# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Attributes that are the same one several times: phone 1, phone 2.
      class RepeatingAttributes < Basalt::Checks::Check
        rule "repeating-attributes", :warning, reads: %w[attribute]

        NUMBERED = /\A(.*\D?)[ _-]?(\d+|one|two|three|four|first|second|third)\z/i

        def findings
          set.of_kind("entity", "relationship", "meeting").flat_map do |owner|
            Describing.of(set, owner.id).select { |attribute| stem(attribute) }.group_by { |attribute| stem(attribute).downcase }.select { |_, list| list.length > 1 }.map do |_, list|
              name = stem(list.first)
              finding(owner.id, "#{English.list(list.map(&:name))} of #{owner.name} are one attribute", "The next one would not fit, and none of them can be searched for alone.",
                      repair: repair("Make it #{English.plural(name)}, many", Change::Set.new(id: list.first.id, fact: "name", value: English.plural(name)), Change::Set.new(id: list.first.id, fact: "many", value: true),
                                     *list.drop(1).map { |one| Change::Remove.new(id: one.id) }))
            end
          end
        end

        private

        def stem(attribute) = attribute.name[NUMBERED, 1]&.strip&.then { |stem| stem.empty? ? nil : stem }
      end
    end
  end
end
