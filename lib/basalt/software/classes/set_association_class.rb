# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Says which class an association is at the same time, or that it is none (UML 2.5.1, 11.5.3.2). +class_id+ is nil for none.
      SetAssociationClass =
        Value.of(:id, :class_id) do
          def apply(draft)
            line = draft.element(id) or raise Refusals::Gone, "the association"
            first, last = line.ends.values_at(0, -1)
            draft.put(:elements, line.with(ends: [first, *middle(draft, line), last].freeze))
          end

          private

          def middle(draft, line)
            return [] unless class_id

            described = draft.element(class_id) or raise Refusals::Gone, "the class"
            raise Mistake, "#{described.name} is at an end of this association" if line.endpoints.include?(class_id)

            [Model::End.new(role: "class", target_id: described.id, facts: {}.freeze)]
          end
        end
    end
  end
end
