# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What a line of an interaction says: something that stands in order (+:item+), that a fragment begins (+:open+), that its next
      # branch does (+:branch+), or that it is over (+:close+). +ends+ are pairs of role and participant, or the name of a new one;
      # +guard+ is that of the branch that begins.
      Line =
        Value.of(:kind, :name, :guard, role: :item, ends: [], facts: {}) do
          # @param draft [Change::Draft]
          # @return [Array<Array(String, String)>] role and id of what it joins; who is not there yet takes part from now on
          def joined(draft, interaction_id)
            ends.map { |role, one| [role, one.is_a?(Model::Element) ? one.id : TakingPart.in(draft, interaction_id, one).id] }
          end
        end
    end
  end
end
