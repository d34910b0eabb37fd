# frozen_string_literal: true

module Basalt
  module Change
    # Opens a sheet of a notation.
    AddSheet = Value.of(:name, :notation, :number, :drawn_by, :dated, :id) do
      def apply(draft)
        clean = Model::Names.clean(name)
        raise Refusals::NameTaken.new("sheet", clean) if draft.sheets.any_by?(:name, clean)

        band = Model::Catalogue.notation(notation).band
        draft.put(:sheets, Model::Sheet.new(id: id || draft.new_id, name: clean, notation_name: notation, band:,
                                            number: number || SheetNumber.next(draft, band), drawn_by:, dated:))
      end
    end
  end
end
