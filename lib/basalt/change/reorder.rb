# frozen_string_literal: true

module Basalt
  module Change
    # Brings one of several that are in order to another place among them: the fact by which
    # their kind is ordered becomes the number of the place.
    Reorder = Value.of(:ids, :id, :place) do
      def apply(draft)
        moved = draft.element(id) or raise Conflict, "the row is no longer there"
        fact = moved.description.ordered or raise Mistake, "a #{moved.kind} has no place among others"
        order = (ids - [id]).select { |one| draft.element(one) }.insert((place - 1).clamp(0, ids.length - 1), id)
        order.each_with_index { |one, index| Set.new(id: one, fact:, value: (index + 1).to_s).apply(draft) unless draft.element(one)[fact] == index + 1 }
      end
    end
  end
end
