# frozen_string_literal: true

module Basalt
  module Change
    # Makes something a part of something else, the last of its parts.
    Own =
      Value.of(:id, :owner_id) do
        def apply(draft)
          part = draft.element(id) or raise Refusals::Gone, "what was to move"
          owner = draft.element(owner_id) or raise Refusals::Gone, "what it should belong to"
          return if part.owner_id == owner_id
          unless part.description.owner.include?(owner.kind)
            raise Mistake, "a #{part.kind} cannot belong to #{owner.name}, a #{owner.noun}"
          end
          raise Mistake, "#{owner.name} is a part of #{part.name} itself" if within?(draft, owner)
          if draft.parts_of(owner_id).any? { |other| other.kind == part.kind && other.name == part.name }
            raise Mistake, "#{owner.name} has #{part.name} already"
          end

          rank = OrderKey.last(draft.parts_of(owner_id).map { |other| other.rank || 0 })
          draft.put(:elements, part.with(owner_id:, rank:))
        end

        private

        def within?(draft, owner)
          owner = draft.element(owner.owner_id) while owner && owner.id != id && owner.owner_id
          owner&.id == id
        end
      end
  end
end
