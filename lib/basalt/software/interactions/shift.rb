# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Brings items one place on in their order, or back: past the item beside them, or out of the branch that they are at the end of.
      Shift =
        Value.of(:ids, :by) do
          def apply(draft)
            items = Items.chosen(draft, ids)
            raise Mistake, "What is chosen stands in several branches" unless items.map(&:container_id).uniq.one?

            spot = by.positive? ? on(draft, items) : back(draft, items)
            spot && Move.new(ids: items.map(&:id), spot:).apply(draft)
          end

          private

          def on(draft, items)
            run = Course.within(draft, items.last.container_id)
            following = run[run.index { |one| one.id == items.last.id } + 1]
            return Spot.new(container_id: items.last.container_id, before_id: following.id) if following

            out(draft, items.last) { |fragment| Spot.new(container_id: fragment.container_id, before_id: fragment.id) }
          end

          def back(draft, items)
            run = Course.within(draft, items.first.container_id)
            at = run.index { |one| one.id == items.first.id }
            return Spot.new(container_id: items.first.container_id, before_id: at > 1 ? run[at - 2].id : nil) if at.positive?

            out(draft, items.first) do |fragment|
              around = Course.within(draft, fragment.container_id)
              place = around.index { |one| one.id == fragment.id }
              Spot.new(container_id: fragment.container_id, before_id: place.positive? ? around[place - 1].id : nil)
            end
          end

          def out(draft, item)
            container = draft.element(item.container_id)
            container.kind == "operand" ? yield(draft.element(container.owner_id)) : nil
          end
        end
    end
  end
end
