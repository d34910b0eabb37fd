# frozen_string_literal: true

module Basalt
  module Data
    # An attribute of a special entity goes up to the general one; the other kinds lose theirs of that name.
    PullingUp =
      Value.of(:id) do
        def apply(draft)
          attribute = draft.element(id) or raise Refusals::Gone, "the attribute"
          owner = draft.element(attribute.owner_id)
          general = Specialising.generals(draft, owner.id).first or raise Mistake, "#{owner.name} is no kind of another entity"
          twins =
            (Specialising.kinds(draft, general.id).map(&:id) - [owner.id])
              .flat_map { |kind| Describing.of(draft, kind) }
              .select { |other| other.name == attribute.name }
          twins.each { |other| Change::Remove.new(id: other.id).apply(draft) }
          Owning.new(id:, owner_id: general.id).apply(draft)
        end
      end
  end
end
