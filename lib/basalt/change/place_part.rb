# frozen_string_literal: true

module Basalt
  module Change
    # Puts a part in front of another of its owner's, or behind all of them; with another owner it
    # belongs there from now on.
    PlacePart = Value.of(:id, :owner_id, :before_id) do
      def apply(draft)
        part = draft.element(id) or raise Refusals::Gone, "the row"
        Own.new(id:, owner_id:).apply(draft) unless part.owner_id == owner_id
        others = draft.parts_of(owner_id).select { |one| one.kind == part.kind && one.id != id }
        at = others.index { |one| one.id == before_id } || others.length
        return if part.owner_id == owner_id && standing(draft, part) == at

        put(draft, draft.element(id), others, at)
      end

      private

      def standing(draft, part) = draft.parts_of(part.owner_id).select { |one| one.kind == part.kind }.index { |one| one.id == part.id }

      def put(draft, part, others, place)
        keys = OrderKey.among(others.map { |one| one.rank || 0 }, place, within: OrderKey::RANKS)
        rows = keys.one? ? [part] : others.insert(place, part)
        rows.zip(keys) { |row, rank| draft.put(:elements, row.with(rank:)) unless row.rank == rank }
      end
    end
  end
end
