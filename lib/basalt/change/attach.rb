# frozen_string_literal: true

module Basalt
  module Change
    # Puts the end of a line at one of the occurrences of what it joins.
    #
    # +key+ is the id of the element, for the first of them, or of a further occurrence.
    Attach = Value.of(:sheet_id, :line_id, :role, :key) do
      def apply(draft)
        target = draft.placement(sheet_id, key) or raise Refusals::GoneFromSheet, "what it was to join"
        Show.new(sheet_id:, element_id: line_id).apply(draft)
        placement = draft.placement(sheet_id, line_id)
        at = placement.attached.merge(role => target.again? ? key : nil).compact
        return if at == placement.attached

        shape = (placement.shape || {}).merge("at" => at.empty? ? nil : at).compact
        draft.put(:placements, placement.with(shape: shape.empty? ? nil : shape))
      end
    end
  end
end
