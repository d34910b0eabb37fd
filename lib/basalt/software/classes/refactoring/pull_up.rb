# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # A feature goes up to the class that its own is a kind of; the other kinds of that lose theirs where it is the same.
        PullUp =
          Value.of(:id) do
            include Steps

            # @return [Model::Element] the feature
            def apply(draft)
              part = feature(draft, id)
              owner = draft.element(part.owner_id)
              general = Generalising.direct(draft, owner.id)
              raise Mistake, "#{owner.name} is no kind of another class" if general.empty?
              raise Mistake, "#{owner.name} is a kind of several classes: say in words where #{part.name} goes" if general.length > 1

              twins = (Generalising.beneath(draft, general.first) - [owner.id]).flat_map { |one| same(draft, one, part) }
              above = same(draft, general.first, part)
              (twins + above).each { |one| draft.apply(Change::Remove.new(id: one.id)) }
              hand(draft, part, general.first)
            end
          end
      end
    end
  end
end
