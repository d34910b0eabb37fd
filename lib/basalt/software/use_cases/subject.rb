# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # The system whose use cases a sheet shows.
      module Subject
        module_function

        # @return [Model::Element, nil] what the sheet is about, or the only system that stands on it
        def of(set, sheet_id)
          about = set.element(set.sheets[sheet_id].subject_id.to_s)
          return about if about&.kind == "system"

          shown = set.things_on(sheet_id).select { |one| one.kind == "system" }
          shown.first if shown.one?
        end

        # @param name [String] of a system, which is made where it is not there
        def say(draft, sheet_id, name)
          name = Model::Names.clean(name)
          system = draft.named(name, "system").first || Change::Add.new(kind: "system", name:).apply(draft)
          draft.apply(
            Change::Show.new(sheet_id:, element_id: system.id),
            Change::SetSubject.new(sheet_id:, element_id: system.id)
          )
        end
      end
    end
  end
end
