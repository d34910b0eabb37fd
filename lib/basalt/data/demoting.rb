# frozen_string_literal: true

module Basalt
  module Data
    # An entity becomes an attribute of the one that it is related to.
    Demoting =
      Value.of(:id) do
        # @return [Model::Element] the attribute
        def apply(draft)
          entity = draft.element(id) or raise Refusals::Gone, "the entity"
          relationship, across = only(draft, entity)
          owner = draft.element(across.target_id)
          attribute =
            Change::Add.new(
              kind: "attribute",
              name: free(draft, entity, owner),
              owner_id: owner.id,
              facts: facts(relationship, entity)
            ).apply(draft)
          parts = Describing.of(draft, id)
          if parts.length > 1
            parts.each { |part| draft.put(:elements, part.with(owner_id: attribute.id, facts: part.facts.except("key", "partial"))) }
          end
          Change::Remove.new(id:).apply(draft)
          attribute
        end

        private

        def only(draft, entity)
          all = draft.relations_of(id)
          raise Mistake, "#{entity.name} is joined to more than one thing: what would be lost has to be struck first" if all.length > 1
          unless all.one? && all.first.kind == "relationship" && all.first.targets.uniq.length == 2
            raise Mistake, "#{entity.name} is related to nothing whose attribute it could be"
          end

          [all.first, all.first.ends.find { |joined| joined.target_id != id }]
        end

        def free(draft, entity, owner)
          name = entity.name.downcase
          raise Mistake, "#{owner.name} has #{name} already" if Describing.of(draft, owner.id).any? { |other| other.name == name }

          name
        end

        def facts(relationship, entity)
          how_many = Cardinality.read(relationship.ends.find { |joined| joined.target_id == entity.id }.facts["cardinality"])
          {
            "many" => how_many.most.to_f > 1 ? true : nil,
            "required" => how_many.least&.positive? ? true : nil,
            "kept" => relationship["kept"],
            **entity.facts.slice("meaning", "synonyms")
          }.compact
        end
      end
  end
end
