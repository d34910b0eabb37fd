# frozen_string_literal: true

module Basalt
  module Change
    # Puts a sheet so many places further in the order of sheets.
    MoveSheet = Value.of(:id, :by) do
      def apply(draft)
        list = draft.sheet_list
        from = list.index { |sheet| sheet.id == id } or raise Refusals::Gone, "the sheet"
        to = (from + by).clamp(0, list.length - 1)
        moved = list.dup.tap { |sheets| sheets.insert(to, sheets.delete_at(from)) }
        list.map(&:ordinal).zip(moved) { |ordinal, sheet| draft.put(:sheets, sheet.with(ordinal:)) unless sheet.ordinal == ordinal }
      end
    end
  end
end
