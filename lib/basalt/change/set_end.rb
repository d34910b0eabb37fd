# frozen_string_literal: true

module Basalt
  module Change
    # Alters the facts of the end of a relation that has this role.
    SetEnd = Value.of(:id, :role, :facts) do
      def apply(draft)
        element = draft.element(id) or raise Refusals::Gone, "what was to be altered"
        ends = element.ends.map { |e| e.role == role ? e.with(facts: e.facts.merge(facts).compact.freeze) : e }
        draft.put(:elements, element.with(ends:)) unless ends == element.ends
      end
    end
  end
end
