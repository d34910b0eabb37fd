# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The interaction that traces a use case, begun from its description: each step is a message, each branch a fragment.
      class Opener
        NOTATION = "sequence"

        def name = "what happens in it"
        def opens?(_set, element) = element.kind == "use case"
        def title(element) = element.name

        # @return [String] id of the sheet
        def draw(draft, use_case)
          interaction = traced(draft, use_case)
          known = interaction && draft.sheets_about(interaction.id).find { |sheet| Scope::SHEETS.include?(sheet.notation_name) }
          return known.id if known

          interaction ||= begin_it(draft, use_case)
          id = draft.new_id
          draft.apply(
            Change::AddSheet.new(name: Change::SheetTitle.free(draft, title(use_case)), notation: NOTATION, id:),
            Change::SetSubject.new(sheet_id: id, element_id: interaction.id),
            Change::Link.new(element_id: use_case.id, sheet_id: id)
          )
          fill(draft, use_case, interaction) if Course.within(draft, interaction.id).empty?
          Course.new(draft, interaction.id).flat.each { |item|
            Scope.show(draft, interaction.id, item.element) unless item.element.relation?
          }
          id
        end

        private

        # @return [Model::Element, nil]
        def traced(set, use_case)
          threads = UseCases::Threads.to(set, use_case.id).select { |one| one["verb"] == "comes from" }
          threads.map { |one| set.element(one.target("of")) }.find { |one| one.kind == Kinds::INTERACTION }
        end

        def begin_it(draft, use_case)
          id = draft.new_id
          Change::Add.new(kind: Kinds::INTERACTION, name: Scope.name(draft, use_case.name), id:).apply(draft)
          draft.apply(UseCases::Threads.joining(draft, id, "comes from", use_case.id))
          draft.element(id)
        end

        def fill(draft, use_case, interaction)
          FromSteps.new(draft, use_case, interaction.id).lines.reduce(Cursor.at_end(draft, interaction.id)) do |cursor, line|
            cursor.tap { cursor.take(line) }
          end
        end
      end
    end
  end
end
