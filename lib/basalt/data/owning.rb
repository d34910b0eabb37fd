# frozen_string_literal: true

module Basalt
  module Data
    # An attribute goes to another owner: an entity, a relationship or a meeting.
    Owning = Value.of(:id, :owner_id) do
      def apply(draft)
        attribute = draft.element(id) or raise Change::Conflict, "the attribute is no longer there"
        owner = draft.element(owner_id) or raise Change::Conflict, "what it should belong to is no longer there"
        raise Mistake, "#{owner.name} has no attributes" unless %w[entity relationship meeting].include?(owner.kind)
        raise Mistake, "#{owner.name} has #{attribute.name} already" if Describing.of(draft, owner_id).any? { |other| other.name == attribute.name }

        rank = (draft.parts_of(owner_id).map { |part| part.rank || 0 }.max || 0) + 1
        draft.put(:elements, attribute.with(owner_id:, rank:, facts: owner.kind == "entity" ? attribute.facts : attribute.facts.except("key", "partial")))
      end
    end
  end
end
