# frozen_string_literal: true

module Basalt
  module Change
    # Takes an element off a sheet, wherever it stands there, with the lines at it and at its parts; it stays in the model.
    TakeOff = Value.of(:sheet_id, :element_id) do
      def apply(draft)
        raise Refusals::NotOnSheet unless draft.shown?(sheet_id, element_id)

        delete(draft, [element_id, *draft.further(sheet_id, element_id).map(&:key), *lines(draft, element_id)])
      end

      private

      def delete(draft, keys)
        keys.each do |key|
          while (placed = draft.placement(sheet_id, key))
            draft.delete(:placements, placed.id)
          end
        end
      end

      # What is joined to it, or to a part of it.
      def lines(draft, id)
        draft.relations_of(id).map(&:id) + draft.parts_of(id).flat_map { |part| lines(draft, part.id) }
      end
    end
  end
end
