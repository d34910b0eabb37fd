# frozen_string_literal: true

module Basalt
  module Change
    # Shows an element on a sheet once more. Without +x+ and +y+ the occurrence waits to be arranged.
    ShowAgain =
      Value.of(:sheet_id, :element_id, :x, :y, :id) do
        def apply(draft)
          element = draft.element(element_id) or raise Refusals::Gone, "what was to be shown"
          raise Refusals::NotOnSheet, element.name unless draft.shown?(sheet_id, element_id)
          unless draft.sheets[sheet_id].notation.repeatable?(draft, sheet_id, element)
            raise Mistake, "a #{element.noun} stands once on a sheet like this"
          end

          draft.put(:placements, Model::Placement.new(id: id || draft.new_id, sheet_id:, element_id:, x:, y:, shape: { "again" => true }))
        end
      end
  end
end
