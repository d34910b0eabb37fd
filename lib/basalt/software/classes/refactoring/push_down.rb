# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # A feature goes down to every class that is a kind of its own.
        PushDown =
          Value.of(:id) do
            include Steps

            # @return [Model::Element] the feature, in the first of them
            def apply(draft)
              part = feature(draft, id)
              owner = draft.element(part.owner_id)
              kinds = Generalising.beneath(draft, owner.id) - [owner.id]
              raise Mistake, "nothing is a kind of #{owner.name}" if kinds.empty?

              kinds.drop(1).each { |one| copy(draft, part, one) if same(draft, one, part).empty? }
              return hand(draft, part, kinds.first) if same(draft, kinds.first, part).empty?

              draft.apply(Change::Remove.new(id:))
              same(draft, kinds.first, part).first
            end
          end
      end
    end
  end
end
