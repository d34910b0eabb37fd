# frozen_string_literal: true

module Basalt
  module Data
    # A relationship becomes an entity: its attributes move along, and two relationships take its place.
    Objectifying =
      Value.of(:id, :name) do
        # @return [Model::Element] the entity
        def apply(draft)
          relationship = draft.element(id) or raise Refusals::Gone, "the relationship"
          ends = relationship.ends
          names = ends.map { |joined| draft.element(joined.target_id).name }
          entity =
            Change::Add.new(kind: "entity", name: name || names.join(" "), facts: relationship.facts.slice("meaning", "synonyms")).apply(
              draft
            )
          Describing.of(draft, id).each { |attribute| Owning.new(id: attribute.id, owner_id: entity.id).apply(draft) }
          ends.zip(ends.reverse).each { |joined, across| relate(draft, joined, across, entity) }
          Change::Remove.new(id:).apply(draft)
          ends
            .flat_map { |joined| draft.sheets_of(joined.target_id) }
            .uniq
            .each { |sheet_id| Change::Show.new(sheet_id:, element_id: entity.id).apply(draft) }
          entity
        end

        private

        # One of the new for each pair: as many for one end as there were of the other.
        def relate(draft, joined, across, entity)
          here = { "cardinality" => "exactly one", "role" => joined.facts["role"] }.compact
          ends = [["one", joined.target_id, here], ["other", entity.id, across.facts.slice("cardinality")]]
          Change::Add.new(kind: "relationship", name: "has", facts: { "back" => "is of" }, ends:).apply(draft)
        end
      end
  end
end
