# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Attributes that are the same one several times: phone 1, phone 2.
      class RepeatingAttributes < Basalt::Checks::Check
        rule "repeating-attributes", :warning, reads: %w[attribute], each: %w[entity relationship meeting], near: 1

        NUMBERED = /\A(.*\D?)[ _-]?(\d+|one|two|three|four|first|second|third)\z/i

        def about(owner)
          numbered = Describing.of(set, owner.id).select { |attribute| stem(attribute) }.group_by { |attribute| stem(attribute).downcase }
          numbered
            .values
            .select { |list| list.length > 1 }
            .map do |list|
              finding(
                owner.id,
                "#{English.list(list.map(&:name))} of #{owner.name} are one attribute",
                "The next one would not fit, and none of them can be searched for alone.",
                repair: mend(list)
              )
            end
        end

        private

        def mend(list)
          many = English.plural(stem(list.first))
          first = %w[name many].zip([many, true]).map { |fact, value| Change::Set.new(id: list.first.id, fact:, value:) }
          repair("Make it #{many}, many", *first, *list.drop(1).map { |one| Change::Remove.new(id: one.id) })
        end

        def stem(attribute) = attribute.name[NUMBERED, 1]&.strip&.then { |stem| stem.empty? ? nil : stem }
      end
    end
  end
end
