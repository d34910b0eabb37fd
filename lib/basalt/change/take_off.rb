# frozen_string_literal: true

module Basalt
  module Change
    # Takes an element off a sheet; it stays in the model.
    TakeOff = Value.of(:sheet_id, :element_id) do
      def apply(draft)
        found = draft.placements.by(:spot, [sheet_id, element_id])
        raise Mistake, "it does not stand on this sheet" if found.empty?

        found.each { |placement| draft.delete(:placements, placement.id) }
        draft.relations_of(element_id).each do |relation|
          draft.placements.by(:spot, [sheet_id, relation.id]).each { |line| draft.delete(:placements, line.id) }
        end
      end
    end
  end
end
