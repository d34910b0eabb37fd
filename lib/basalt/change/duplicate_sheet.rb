# frozen_string_literal: true

module Basalt
  module Change
    # Opens a sheet that shows the same elements at the same places as another.
    DuplicateSheet = Value.of(:of_id, :name, :id, :drawn_by, :dated) do
      def apply(draft)
        pattern = draft.sheets[of_id] or raise Refusals::Gone, "the sheet"
        title = name.to_s.strip.empty? ? SheetTitle.free(draft, pattern.name) : name
        AddSheet.new(name: title, notation: pattern.notation_name, id: id || draft.new_id, drawn_by:, dated:).apply(draft).then do |sheet|
          draft.put(:sheets, draft.sheets[sheet.id].with(band: pattern.band, view: pattern.view, subject_id: pattern.subject_id))
          copy_placements(draft, sheet)
          sheet
        end
      end

      private

      def copy_placements(draft, sheet)
        placements = draft.placements_on(of_id).sort_by(&:ordinal)
        ids = placements.to_h { |placement| [placement.id, draft.new_id] }
        placements.each do |placement|
          at = placement.attached.transform_values { |id| ids.fetch(id, id) }
          shape = at.empty? ? placement.shape : placement.shape.merge("at" => at)
          draft.put(:placements, placement.with(id: ids[placement.id], sheet_id: sheet.id, shape:, ordinal: nil))
        end
      end
    end
  end
end
