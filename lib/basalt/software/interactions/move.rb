# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Brings items of an interaction to another place in its order, one behind the other as they stood.
      Move =
        Value.of(:ids, :spot) do
          def apply(draft)
            items = Items.chosen(draft, ids)
            refuse_within(draft, items)
            there = before(draft, items.map(&:id))
            items.each { |one| draft.put(:elements, draft.element(one.id).with(container_id: nil)) }
            cursor = there.cursor(draft)
            items.each { |one| cursor.bring(one) }
          end

          private

          # Where it is behind one that moves, behind what stands before that.
          def before(draft, moved)
            items = Course.within(draft, spot.container_id)
            at = spot.before_id ? items.index { |one|
              one.id == spot.before_id
            } || raise(Refusals::Gone, "what stood before the place") : -1
            at -= 1 while at >= 0 && moved.include?(items[at].id)
            Spot.new(container_id: spot.container_id, before_id: at.negative? ? nil : items[at].id)
          end

          def refuse_within(draft, items)
            around = draft.element(spot.container_id.to_s) or raise Refusals::Gone, "the place"
            while around && around.kind != Kinds::INTERACTION
              raise Mistake, "A fragment cannot go into itself" if items.any? { |one| one.id == around.id }

              around = draft.element((around.owner_id || around.container_id).to_s)
            end
          end
        end
    end
  end
end
