# frozen_string_literal: true

module Basalt
  module Change
    # Gives what stands on a sheet a named emphasis there; nil takes it away.
    Emphasise = Value.of(:sheet_id, :element_id, :name) do
      def apply(draft)
        placement = draft.placement(sheet_id, element_id) or raise Refusals::NotOnSheet
        clean = name.to_s.strip.empty? ? nil : Model::Names.clean(name, limit: 60)
        shape = (placement.shape || {}).merge("emphasis" => clean).compact
        Arrange.new(placement_id: placement.id, to: { shape: shape.empty? ? nil : shape }).apply(draft)
      end
    end
  end
end
