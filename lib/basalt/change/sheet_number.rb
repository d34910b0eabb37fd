# frozen_string_literal: true

module Basalt
  module Change
    # Numbers of sheets: the project's initials, the band's letter and a running number.
    module SheetNumber
      module_function

      # @return [String] such as +TA-L-03+
      def next(draft, band)
        stem = "#{initials(draft.project)}-#{band[0].upcase}-"
        taken = draft.sheets.each.filter_map { |sheet| sheet.number&.delete_prefix(stem)&.to_i if sheet.number&.start_with?(stem) }
        stem + ((taken.max || 0) + 1).to_s.rjust(2, "0")
      end

      def initials(project)
        letters = project.to_s.unicode_normalize(:nfd).gsub(/[^A-Za-z]/, "").upcase
        letters.length >= 2 ? letters[0, 2] : "SH"
      end
    end
  end
end
