# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Copies an item with all that it holds.
      class Copying
        def initialize(draft)
          @draft = draft
        end

        # @param cursor [Cursor] where the copy goes
        # @return [String] its id
        def item(element, cursor)
          id = again(element, container_id: nil)
          cursor.bring(@draft.element(id))
          Scope.show(@draft, cursor.interaction_id, @draft.element(id)) unless element.relation?
          @draft.parts_of(element.id).each { |operand| branch(operand, id) }
          id
        end

        private

        def branch(operand, fragment_id)
          id = again(operand, owner_id: fragment_id)
          inner = Cursor.at_end(@draft, id)
          Course.within(@draft, operand.id).each { |one| item(one, inner) }
        end

        def again(element, **different)
          @draft.new_id.tap { |id| @draft.put(:elements, element.with(id:, ordinal: nil, external_id: nil, **different)) }
        end
      end
    end
  end
end
