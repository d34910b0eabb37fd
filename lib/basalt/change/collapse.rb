# frozen_string_literal: true

module Basalt
  module Change
    # Draws a boundary as one slab that stands for what it contains, or opens it again.
    Collapse =
      Value.of(:sheet_id, :element_id, :closed) do
        def apply(draft)
          placement = draft.placement(sheet_id, element_id) or raise Refusals::NotOnSheet
          if Drawing::Nesting.new(draft, sheet_id).children(element_id).empty?
            raise Mistake, "#{draft.element(element_id).name} contains nothing on this sheet"
          end

          shape = (placement.shape || {}).merge("closed" => closed ? true : nil).compact
          Arrange.new(placement_id: placement.id, to: { shape: shape.empty? ? nil : shape }).apply(draft)
        end
      end
  end
end
