# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Makes a feature of a class read otherwise, in all that its notation says. One that becomes another kind of part (an attribute that
      # gets parameters) is another element at the same place.
      Respell =
        Value.of(:id, :feature) do
          # @return [Model::Element] the part
          def apply(draft)
            part = draft.element(id) or raise Refusals::Gone, "the feature"
            kind = Facts.kind(feature, draft.element(part.owner_id))
            return anew(draft, part, kind) unless kind == part.kind

            facts = part.facts.slice("note", "as_read").merge(Facts.of(feature, kind).compact)
            altered = part.with(name: Model::Names.clean(feature.name), facts:)
            return part if altered == part

            Change::Uniqueness.check(draft, altered)
            draft.put(:elements, altered)
          end

          private

          def anew(draft, part, kind)
            draft.apply(Change::Remove.new(id: part.id))
            Change::Add.new(
              kind:,
              name: feature.name,
              facts: Facts.of(feature, kind).compact,
              owner_id: part.owner_id,
              rank: part.rank
            ).apply(draft)
          end
        end
    end
  end
end
