# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity of which two could not be told apart.
      class NoKey < Basalt::Checks::Check
        rule "no-key", :warning, reads: %w[entity attribute]
        LIKELY = /\b(code|number|no|id|identifier|reference)\b/i

        def findings
          set.of_kind("entity").reject { |entity| Describing.of(set, entity.id).any? { |attribute| attribute["key"] } }.map do |entity|
            finding(entity.id, "#{entity.name} has no key", "Nothing says how one #{entity.name} is told from another.", repair: choose(entity))
          end
        end

        private

        def choose(entity)
          attribute = Describing.of(set, entity.id).find { |candidate| candidate.name.match?(LIKELY) && !candidate["many"] }
          return repair("Make #{attribute.name} its key", Change::Set.new(id: attribute.id, fact: "key", value: true)) if attribute

          repair("Give it a key, code", Change::Add.new(kind: "attribute", name: "code", owner_id: entity.id, facts: { "key" => true })) if free?(entity)
        end

        def free?(entity) = Describing.of(set, entity.id).none? { |attribute| attribute.name == "code" }
      end
    end
  end
end
