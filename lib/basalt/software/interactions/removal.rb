# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Removes something with all that is in it, at any depth.
      Removal =
        Value.of(:id) do
          def apply(draft) = empty(draft, id, Set.new)

          private

          def empty(draft, id, seen)
            return unless seen.add?(id) && draft.element(id)

            draft.parts_of(id).each { |part| empty(draft, part.id, seen) }
            draft.contents_of(id).each { |inner| empty(draft, inner.id, seen) }
            Change::Remove.new(id:).apply(draft) if draft.element(id)
          end
        end
    end
  end
end
