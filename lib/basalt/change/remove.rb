# frozen_string_literal: true

module Basalt
  module Change
    # Strikes an element from the model, with what cannot be without it: its parts, the
    # relations that end at it, its placements. What it contained stays, uncontained.
    Remove = Value.of(:id) do
      def apply(draft)
        element = draft.element(id) or raise Refusals::Gone
        delete(draft, element)
      end

      private

      def delete(draft, element)
        draft.relations_of(element.id).each { |relation| delete(draft, relation) }
        draft.parts_of(element.id).each { |part| delete(draft, part) }
        draft.contents_of(element.id).each { |inner| draft.put(:elements, inner.with(container_id: nil)) }
        draft.placements.by(:element, element.id).each { |placement| draft.delete(:placements, placement.id) }
        draft.sheets_about(element.id).each { |sheet| draft.put(:sheets, sheet.with(subject_id: nil)) }
        draft.links_of(element.id).each { |link| draft.delete(:links, link.id) }
        draft.delete(:elements, element.id)
      end
    end
  end
end
