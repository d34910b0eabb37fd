# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity of which two could not be told apart.
      class NoKey < Basalt::Checks::Check
        rule "no-key", :warning, reads: %w[entity attribute specialisation dependence], each: "entity", near: 2
        LIKELY = /\b(code|number|no|id|identifier|reference)\b/i

        def about(entity)
          return [] if told_apart?(entity)

          [
            finding(
              entity.id,
              "#{entity.name} has no key",
              "Nothing says how one #{entity.name} is told from another.",
              repair: choose(entity)
            )
          ]
        end

        private

        # By a key, as a weak entity by its owner and its partial key, or as the kind of another by the key of that.
        def told_apart?(entity)
          attributes = Describing.simple(set, entity.id) + Describing.of(set, entity.id)
          attributes.any? { |attribute| attribute["key"] || (attribute["partial"] && Dependence.weak?(entity)) } ||
            Specialising.generals(set, entity.id).any? || (Dependence.weak?(entity) && Dependence.of(set, entity.id).length > 1)
        end

        def choose(entity)
          attribute = Describing.of(set, entity.id).find { |candidate| candidate.name.match?(LIKELY) && !candidate["many"] }
          return repair("Make #{attribute.name} its key", Change::Set.new(id: attribute.id, fact: "key", value: true)) if attribute

          if free?(entity)
            repair("Give it a key, code", Change::Add.new(kind: "attribute", name: "code", owner_id: entity.id, facts: { "key" => true }))
          end
        end

        def free?(entity) = Describing.of(set, entity.id).none? { |attribute| attribute.name == "code" }
      end
    end
  end
end
