# frozen_string_literal: true

module Basalt
  module Change
    # Hides the labels of one line on a sheet, or brings them back.
    HideLabel = Value.of(:sheet_id, :element_id, :on) do
      def apply(draft)
        placement = draft.placement(sheet_id, element_id) or raise Mistake, "the line is not drawn on this sheet"
        shape = (placement.shape || {}).merge("labels_hidden" => on ? true : nil).compact
        Arrange.new(placement_id: placement.id, to: { shape: shape.empty? ? nil : shape }).apply(draft)
      end
    end
  end
end
