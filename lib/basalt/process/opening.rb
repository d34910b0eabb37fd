# frozen_string_literal: true

module Basalt
  module Process
    # Opens a process into the level beneath: a sheet about it that shows what flows to it and from it.
    module Opening
      module_function

      # @return [String] id of the sheet, which may have been there before
      def level(draft, process)
        known = draft.sheets_about(process.id).find { |sheet| sheet.notation == "data flow" }
        return known.id if known

        id = draft.new_id
        number = Levels.number(draft, process)
        title = Change::SheetTitle.free(draft, number ? "#{number} #{process.name}" : "#{process.name}: what is done")
        draft.apply(Change::AddSheet.new(name: title, notation: "data flow", id:), Change::SetSubject.new(sheet_id: id, element_id: process.id))
        Levels.children(draft, process.id).each { |child| Change::Show.new(sheet_id: id, element_id: child.id).apply(draft) }
        neighbours(draft, process).each { |other| Change::Show.new(sheet_id: id, element_id: other).apply(draft) }
        id
      end

      # @return [Array<String>] ids of what the process deals with
      def neighbours(set, process) = set.relations_of(process.id, "flow").flat_map(&:targets).uniq - [process.id]
    end
  end
end
