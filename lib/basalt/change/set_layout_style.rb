# frozen_string_literal: true

module Basalt
  module Change
    # How a sheet is laid out when it is tidied; nil for the way of its notation.
    SetLayoutStyle =
      Value.of(:sheet_id, :style) do
        def apply(draft)
          sheet = draft.sheets[sheet_id] or raise Refusals::Gone, "the sheet"
          raise Mistake, "#{sheet.notation_name} stand in their order, and in no other way" if style && sheet.notation.ruled?
          unless style.nil? || Drawing::LayoutStyle::ALL.key?(style)
            raise Mistake, "a sheet is laid out #{Drawing::LayoutStyle::ALL.values.join(", ")}, not “#{Model::Names.short(style)}”"
          end

          view = (sheet.view || {}).merge("layout_style" => style).compact
          altered = sheet.with(view: view.empty? ? nil : view)
          draft.put(:sheets, altered) unless altered == sheet
        end
      end
  end
end
