# frozen_string_literal: true

module Basalt
  module Change
    # Titles of sheets that Basalt opens by itself.
    module SheetTitle
      module_function

      # @return [String] the title, with a number behind it where another sheet has it
      def free(draft, title)
        clean = Model::Names.short(Model::Names.clean(title), 180)
        return clean unless draft.sheets.any_by?(:name, clean)

        (2..).lazy.map { |number| "#{clean} #{number}" }.find { |candidate| !draft.sheets.any_by?(:name, candidate) }
      end
    end
  end
end
