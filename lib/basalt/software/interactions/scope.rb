# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The interaction that a sheet shows: what the sheet is about. One that is about nothing yet gets an interaction of its own,
      # which is called like the sheet.
      module Scope
        SHEETS = %w[sequence communication].freeze

        module_function

        # @param set [Model::WorkingSet, Change::Draft]
        # @return [Model::Element, nil]
        def shown(set, sheet_id)
          about = set.sheets[sheet_id]&.subject_id
          element = about && set.element(about)
          element if element&.kind == Kinds::INTERACTION
        end

        # @param draft [Change::Draft]
        # @return [String, nil] id of the interaction of the sheet, which is made where there is none; nil on sheets of another notation
        def of(draft, sheet_id)
          sheet = draft.sheets[sheet_id]
          return unless sheet && SHEETS.include?(sheet.notation_name)

          shown(draft, sheet_id)&.id || make(draft, sheet)
        end

        # What a sheet was about before, an interaction comes from.
        def make(draft, sheet)
          interaction = free(draft,
                             sheet.name) || draft.apply(Change::Add.new(kind: Kinds::INTERACTION, name: name(draft, sheet.name),
                                                                        id: id = draft.new_id)).element(id)
          draft.apply(Change::SetSubject.new(sheet_id: sheet.id, element_id: interaction.id))
          source = sheet.subject_id
          draft.apply(UseCases::Threads.joining(draft, interaction.id, "comes from", source)) if source
          interaction.id
        end

        # @return [Model::Element, nil] an interaction of that name which no sheet shows
        def free(set, name) = named(set, name).find { |one| set.sheets_about(one.id).empty? }

        def named(set, name) = set.named(Model::Names.clean(name)).select { |one| one.kind == Kinds::INTERACTION }

        def name(set, wanted) = named(set, wanted).empty? ? wanted : Model::Names.following(wanted) { |name| named(set, name).any? }

        # Shows something on all sheets of an interaction that draw it.
        def show(draft, interaction_id, element)
          draft.sheets_about(interaction_id).each do |sheet|
            next unless SHEETS.include?(sheet.notation_name) && sheet.notation.draws?(element)

            Change::Show.new(sheet_id: sheet.id, element_id: element.id).apply(draft)
          end
        end

        # @return [String, nil] id of what the sheet would be about without anybody saying so
        def own(set, sheet)
          about = shown(set, sheet.id)
          about.id if about && about.name == sheet.name && set.sheets_about(about.id).min_by(&:ordinal).id == sheet.id
        end
      end
    end
  end
end
