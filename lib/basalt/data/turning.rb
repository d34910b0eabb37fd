# frozen_string_literal: true

module Basalt
  module Data
    # A relationship read from the other side: the verbs change places, and so do the ends.
    Turning = Value.of(:id) do
      def apply(draft)
        one = draft.element(id) or raise Refusals::Gone, "the relationship"
        raise Mistake, "say the verb of the other direction first, then it can be turned" unless one["back"]

        first, second = one.ends
        ends = [first.with(target_id: second.target_id, facts: second.facts), second.with(target_id: first.target_id, facts: first.facts)]
        draft.put(:elements, one.with(name: one["back"], ends:, facts: one.facts.merge("back" => one.name)))
      end
    end
  end
end
