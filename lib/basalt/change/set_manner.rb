# frozen_string_literal: true

module Basalt
  module Change
    # How a sheet is laid out when it is tidied; nil for the way of its notation.
    SetManner = Value.of(:sheet_id, :manner) do
      def apply(draft)
        sheet = draft.sheets[sheet_id] or raise Conflict, "the sheet is no longer there"
        raise Mistake, "a sheet is laid out #{Drawing::LayoutStyle::ALL.values.join(', ')}, not “#{Model::Names.short(manner)}”" unless manner.nil? || Drawing::LayoutStyle::ALL.key?(manner)

        view = (sheet.view || {}).merge("manner" => manner).compact
        altered = sheet.with(view: view.empty? ? nil : view)
        draft.put(:sheets, altered) unless altered == sheet
      end
    end
  end
end
