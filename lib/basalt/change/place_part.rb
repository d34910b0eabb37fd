# frozen_string_literal: true

module Basalt
  module Change
    # Puts a part in front of another of its owner's, or behind all of them; with another owner it
    # belongs there from now on.
    PlacePart = Value.of(:id, :owner_id, :before_id) do
      def apply(draft)
        part = draft.element(id) or raise Conflict, "the row is no longer there"
        Own.new(id:, owner_id:).apply(draft) unless part.owner_id == owner_id
        others = draft.parts_of(owner_id).select { |one| one.kind == part.kind && one.id != id }
        at = others.index { |one| one.id == before_id } || others.length
        others.insert(at, draft.element(id)).each_with_index { |one, index| draft.put(:elements, one.with(rank: index + 1)) unless one.rank == index + 1 }
      end
    end
  end
end
