# frozen_string_literal: true

module Basalt
  module Change
    # Makes an element open into a sheet; said again it changes nothing but the title, where another is given.
    Link =
      Value.of(:element_id, :sheet_id, :title) do
        def apply(draft)
          raise Refusals::Gone, "what should open" unless draft.element(element_id)

          sheet = draft.sheets[sheet_id] or raise Refusals::Gone, "the sheet"
          known = draft.links_of(element_id).find { |link| link.sheet_id == sheet_id }
          return entitle(draft, known) if known

          # What the sheet is about opens into it anyway.
          make(draft) unless title.nil? && sheet.subject_id == element_id
        end

        private

        def named = title && Model::Names.clean(title)
        def make(draft) = draft.put(:links, Model::Link.new(id: draft.new_id, element_id:, sheet_id:, title: named))

        def entitle(draft, link)
          draft.put(:links, link.with(title: named)) unless title.nil? || link.title == named
        end
      end
  end
end
