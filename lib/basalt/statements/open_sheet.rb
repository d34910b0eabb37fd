# frozen_string_literal: true

module Basalt
  module Statements
    # Turns to a sheet, opening it when there is none of that name.
    module OpenSheet
      module_function

      # @return [String] the sheet's id
      # @raise [Mistake] when the sheet exists in another notation
      def of(context, name, notation)
        sheet = context.draft.sheets.by(:name, Model::Names.clean(name)).first
        return context.draft.apply(Change::AddSheet.new(name:, notation:)).sheets.by(:name, Model::Names.clean(name)).first.id unless sheet
        return sheet.id if sheet.notation_name == notation

        raise Mistake, "the sheet “#{sheet.name}” is a #{sheet.notation_name} sheet already"
      end
    end
  end
end
