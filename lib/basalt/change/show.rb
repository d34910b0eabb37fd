# frozen_string_literal: true

module Basalt
  module Change
    # Shows an element on a sheet. Without +x+ and +y+ it waits to be arranged.
    Show = Value.of(:sheet_id, :element_id, :x, :y, :id) do
      def apply(draft)
        return if draft.shown?(sheet_id, element_id)

        ordinal = draft.next_ordinal(:placements)
        draft.put(:placements, Model::Placement.new(id: id || draft.new_id, sheet_id:, element_id:, x:, y:, ordinal:))
      end
    end
  end
end
