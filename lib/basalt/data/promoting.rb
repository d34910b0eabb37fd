# frozen_string_literal: true

module Basalt
  module Data
    # An attribute becomes an entity of its own, which the owner is related to.
    Promoting =
      Value.of(:id) do
        # @return [Model::Element] the entity
        def apply(draft)
          attribute = draft.element(id) or raise Refusals::Gone, "the attribute"
          owner = draft.element(attribute.owner_id)
          raise Mistake, "only an attribute of an entity can become one" unless owner.kind == "entity"

          entity =
            Change::Add.new(kind: "entity", name: name(draft, attribute), facts: attribute.facts.slice("meaning", "synonyms")).apply(
              draft
            )
          move_parts(draft, attribute, entity)
          relate(draft, owner, attribute, entity)
          Change::Remove.new(id:).apply(draft)
          draft.sheets_of(owner.id).each { |sheet_id| Change::Show.new(sheet_id:, element_id: entity.id).apply(draft) }
          entity
        end

        private

        def name(draft, attribute)
          wanted = Noun.of(draft, attribute).singular.split.map { |word| word.sub(/\A./, &:upcase) }.join(" ")
          taken = ->(candidate) { draft.named(candidate, "entity").any? }
          raise Mistake, "there is an entity #{wanted} already: relate to it instead" if taken.call(wanted)

          wanted
        end

        # What told one from another, or its only fact, is its key from then on.
        def move_parts(draft, attribute, entity)
          parts = Describing.of(draft, attribute.id)
          parts.each { |part| Owning.new(id: part.id, owner_id: entity.id).apply(draft) }
          Change::Add.new(kind: "attribute", name: "name", owner_id: entity.id, facts: { "key" => true }).apply(draft) if parts.empty?
        end

        def relate(draft, owner, attribute, entity)
          there =
            (
              if attribute["many"]
                (attribute["required"] ? "one or more" : "zero or more")
              else
                (attribute["required"] ? "exactly one" : "zero or one")
              end
            )
          Change::Add.new(
            kind: "relationship",
            name: "has",
            facts: attribute["kept"] ? { "kept" => true } : {},
            ends: [["one", owner.id, {}], ["other", entity.id, { "cardinality" => there }]]
          ).apply(draft)
        end
      end
  end
end
