# frozen_string_literal: true

module Basalt
  module Data
    # Attributes of an entity become an entity of their own, to which it is related.
    Splitting =
      Value.of(:entity_id, :attribute_ids, :name) do
        # @return [Model::Element] the new entity
        def apply(draft)
          entity = draft.element(entity_id) or raise Refusals::Gone, "the entity"
          fresh = Change::Add.new(kind: "entity", name: free(draft)).apply(draft)
          attribute_ids.each { |id| Owning.new(id:, owner_id: fresh.id).apply(draft) }
          rename(draft, fresh)
          Change::Add.new(
            kind: "relationship",
            name: "has",
            ends: [["one", entity.id, { "cardinality" => "zero or more" }], ["other", fresh.id, { "cardinality" => "exactly one" }]]
          ).apply(draft)
          draft.sheets_of(entity.id).each { |sheet_id| Change::Show.new(sheet_id:, element_id: fresh.id).apply(draft) }
          fresh
        end

        private

        def free(draft)
          taken = ->(candidate) { draft.named(candidate, "entity").any? }
          taken.call(name) ? Model::Names.following("#{name} 2", &taken) : name
        end

        # "site name" of a Site is its name.
        def rename(draft, fresh)
          Describing
            .of(draft, fresh.id)
            .each do |attribute|
              rest = attribute.name.sub(/\A#{Regexp.escape(name)}\s+/i, "")
              draft.apply(Change::Set.new(id: attribute.id, fact: "name", value: rest)) unless rest == attribute.name
            end
          key(draft, fresh)
        end

        # Something has to tell one from another.
        def key(draft, fresh)
          attributes = Describing.of(draft, fresh.id)
          return if attributes.any? { |one| one["key"] }

          likely =
            attributes.find { |one| one.name.match?(Checks::NoKey::LIKELY) } || attributes.find { |one| one.name.casecmp?("name") } ||
            attributes.first
          draft.apply(Change::Set.new(id: likely.id, fact: "key", value: true)) if likely
        end
      end
  end
end
