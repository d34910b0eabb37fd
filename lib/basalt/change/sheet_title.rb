# frozen_string_literal: true

module Basalt
  module Change
    # Titles of sheets that Basalt opens by itself.
    module SheetTitle
      module_function

      # @return [String] the title, with a number behind it where another sheet has it
      def free(draft, title)
        clean = Model::Names.short(Model::Names.clean(title), 180)
        return clean if draft.sheets.ids_by(:name, clean).empty?

        (2..).lazy.map { |number| "#{clean} #{number}" }.find { |candidate| draft.sheets.ids_by(:name, candidate).empty? }
      end
    end
  end
end
