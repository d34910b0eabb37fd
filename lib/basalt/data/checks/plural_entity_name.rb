# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity named for more than one.
      class PluralEntityName < Basalt::Checks::Check
        rule "plural-entity-name", :hint, reads: %w[entity], each: "entity", near: 1

        def self.given(set) = Noun.language(set)

        def about(entity)
          noun = Noun.of(set, entity)
          return [] unless noun.english? && English.plural?(entity.name)

          one = noun.singular
          taken = set.named(one, "entity").any?
          [
            finding(
              entity.id,
              "#{entity.name} is named for more than one",
              "An entity is named for a single one of it, so that sentences about it read: #{English.article(one)} #{one}.",
              repair: taken ? nil : repair("Call it #{one}", Change::Set.new(id: entity.id, fact: "name", value: one))
            )
          ]
        end
      end
    end
  end
end
