# frozen_string_literal: true

module Basalt
  module Change
    # What is shown on a sheet in a way of its own: +labels+ of lines hidden, +parallels+ folded into one line, +pictures+ of
    # what opens beneath, +numbers+ of messages, +signs+ of what was decided.
    SetView = Value.of(:sheet_id, :part, :on) do
      self::PARTS = "hides labels, folds parallels, shows pictures, numbers or decisions"

      def apply(draft)
        sheet = draft.sheets[sheet_id] or raise Refusals::Gone, "the sheet"
        raise Mistake, "a sheet #{self.class::PARTS}, not #{Model::Names.short(part)}" unless Model::Sheet::PARTS.include?(part)

        view = (sheet.view || {}).merge(part => on ? true : nil).compact
        altered = sheet.with(view: view.empty? ? nil : view)
        draft.put(:sheets, altered) unless altered == sheet
      end
    end
  end
end
