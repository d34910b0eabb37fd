# frozen_string_literal: true

module Basalt
  module Process
    # Opens a process into the level beneath: a sheet about it that shows what flows to it and from it.
    module LevelSheet
      # The notations that draw what flows.
      FLOWS = ["context", "data flow"].freeze

      module_function

      # @return [String] id of the sheet, which may have been there before
      def level(draft, process)
        known = draft.sheets_about(process.id).find { |sheet| sheet.notation_name == "data flow" }
        return known.id if known

        number = Levels.number(draft, process)
        id = sheet(draft, process, "data flow", number ? "#{number} #{process.name}" : "#{process.name}: what is done")
        Levels.children(draft, process.id).each { |child| Change::Show.new(sheet_id: id, element_id: child.id).apply(draft) }
        neighbours(draft, process).each { |other| Change::Show.new(sheet_id: id, element_id: other).apply(draft) }
        id
      end

      # Opens a sheet about a process, drawn in the way in which the others of the project are.
      #
      # @return [String] its id
      def sheet(draft, process, notation, title)
        id = draft.new_id
        variant = draft.sheet_list.select { |one| FLOWS.include?(one.notation_name) }.map(&:variant).tally.max_by(&:last)&.first
        draft.apply(
          Change::AddSheet.new(name: Change::SheetTitle.free(draft, title), notation:, id:),
          Change::SetSubject.new(sheet_id: id, element_id: process.id),
          Change::SetVariant.new(sheet_id: id, variant:)
        )
        id
      end

      # @return [Array<String>] ids of what the process deals with, as they are seen on its own level
      def neighbours(set, process) =
        set.relations_of(process.id, "flow").flat_map(&:targets).map { |id| Levels.seen_from(set, id, process.id) }.uniq - [process.id]
    end
  end
end
