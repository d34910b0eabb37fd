# frozen_string_literal: true

module Basalt
  module Change
    # Opens a sheet that shows the same elements at the same places as another.
    DuplicateSheet = Value.of(:of_id, :name, :id, :drawn_by, :dated) do
      def apply(draft)
        pattern = draft.sheets[of_id] or raise Conflict, "the sheet is no longer there"
        title = name.to_s.strip.empty? ? SheetTitle.free(draft, pattern.name) : name
        AddSheet.new(name: title, notation: pattern.notation_name, id: id || draft.new_id, drawn_by:, dated:).apply(draft).then do |sheet|
          draft.put(:sheets, draft.sheets[sheet.id].with(band: pattern.band, view: pattern.view, subject_id: pattern.subject_id))
          draft.placements_on(of_id).sort_by(&:ordinal).each { |placement| draft.put(:placements, placement.with(id: draft.new_id, sheet_id: sheet.id, ordinal: nil)) }
          sheet
        end
      end
    end
  end
end
