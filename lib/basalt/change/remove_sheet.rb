# frozen_string_literal: true

module Basalt
  module Change
    # Takes a sheet away with what stands on it; what opened into it is told as a finding. The elements stay in the model, but those that
    # stand on no other sheet go too where that is asked for.
    RemoveSheet = Value.of(:id, :with_elements) do
      def apply(draft)
        sheet = draft.sheets[id] or raise Refusals::Gone, "the sheet"
        lost = with_elements ? self.class.alone(draft, id).map(&:id) : []
        draft.placements_on(id).to_a.each { |placement| draft.delete(:placements, placement.id) }
        draft.links.by(:sheet, id).to_a.each { |link| draft.put(:links, link.with(sheet_id: nil, lost: sheet.name)) }
        draft.delete(:sheets, sheet.id)
        lost.each { |element_id| Remove.new(id: element_id).apply(draft) if draft.element(element_id) }
      end

      # @return [Array<Model::Element>] things that stand on this sheet and on no other
      def self.alone(set, id) = set.things_on(id).select { |thing| set.sheets_of(thing.id) == [id] }
    end
  end
end
