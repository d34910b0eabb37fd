# frozen_string_literal: true

module Basalt
  module Data
    # An attribute goes to another owner: an entity, a relationship or a meeting. Only entities have keys.
    Owning = Value.of(:id, :owner_id) do
      def apply(draft)
        moved = Change::Own.new(id:, owner_id:).apply(draft) or return
        draft.put(:elements, moved.with(facts: moved.facts.except("key", "partial"))) unless draft.element(owner_id).kind == "entity"
      end
    end
  end
end
