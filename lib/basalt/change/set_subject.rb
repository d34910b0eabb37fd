# frozen_string_literal: true

module Basalt
  module Change
    # What a sheet opens; nil for nothing in particular.
    SetSubject = Value.of(:sheet_id, :element_id) do
      def apply(draft)
        sheet = draft.sheets[sheet_id] or raise Refusals::Gone, "the sheet"
        raise Refusals::Gone, "what the sheet should open" if element_id && draft.element(element_id).nil?

        draft.put(:sheets, sheet.with(subject_id: element_id)) unless sheet.subject_id == element_id
      end
    end
  end
end
