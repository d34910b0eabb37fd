# frozen_string_literal: true

module Basalt
  module Change
    # Joins one end of a relation to something else.
    Rejoin = Value.of(:id, :role, :target_id) do
      def apply(draft)
        element = draft.element(id) or raise Refusals::Gone, "the line"
        target = draft.element(target_id) or raise Refusals::Gone, "what it was to join"
        allowed = element.description.ends.fetch(role) { raise Mistake, "a #{element.kind} has no such end" }
        raise Refusals::WrongEnd.new(element.kind, target) unless allowed.include?(target.kind)

        ends = element.ends.map { |joined| joined.role == role ? joined.with(target_id:) : joined }
        draft.put(:elements, element.with(ends:)) unless ends == element.ends
      end
    end
  end
end
