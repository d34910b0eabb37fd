# frozen_string_literal: true

module Basalt
  module Data
    # Two entities that turn out to be one: the second's attributes and relations go over to the first.
    Merging =
      Value.of(:id, :other_id) do
        def apply(draft)
          one, other =
            [id, other_id].map { |wanted| draft.element(wanted) or raise Refusals::Gone, "one of the two" }
          raise Mistake, "only entities can be merged" unless [one, other].all? { |element| element.kind == "entity" }

          known = Describing.of(draft, id).map { |attribute| attribute.name.downcase }
          Describing
            .of(draft, other_id)
            .reject { |attribute| known.include?(attribute.name.downcase) }
            .each { |attribute| Owning.new(id: attribute.id, owner_id: id).apply(draft) }
          draft.relations_of(other_id).each { |relation| rejoin(draft, relation) }
          Change::Remove.new(id: other_id).apply(draft)
          draft.put(:elements, one.with(facts: other.facts.merge(one.facts)))
        end

        private

        # A special entity or an owner cannot be its own.
        def rejoin(draft, relation)
          ends = relation.ends.map { |joined| joined.target_id == other_id ? joined.with(target_id: id) : joined }
          return if %w[specialisation dependence].include?(relation.kind) && ends.map(&:target_id).uniq.one?

          draft.put(:elements, relation.with(ends:))
        end
      end
  end
end
