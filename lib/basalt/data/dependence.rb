# frozen_string_literal: true

module Basalt
  module Data
    # Weak entities and the owners without which they cannot be told apart.
    module Dependence
      module_function

      # @return [Array<Model::Element>] owners of a weak entity
      def owners(set, weak_id) = of(set, weak_id).map { |one| set.element(one.target("owner")) }
      def of(set, weak_id) = set.relations_of(weak_id, "dependence").select { |one| one.target("weak") == weak_id }
      def weak?(entity) = entity["strength"] == Kinds::WEAK

      def give(context, entity, owner)
        context.set(entity.id, "strength", Kinds::WEAK)
        return if owners(context.draft, entity.id).any? { |known| known.id == owner.id }

        context.add("dependence", ends: [["weak", entity.id], ["owner", owner.id]])
        context.show(owner)
      end

      def clear(context, entity)
        of(context.draft, entity.id).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
      end

      # A weak entity is one of its own: its partial key is its key, or it is given one.
      #
      # @return [Array] changes
      def standing_alone(set, entity)
        attributes = Describing.of(set, entity.id)
        partial = attributes.select { |attribute| attribute["partial"] }
        key =
          partial.flat_map do |attribute|
            [["partial", nil], ["key", true]].map { |fact, value| Change::Set.new(id: attribute.id, fact:, value:) }
          end
        own = attributes.any? { |one| one["key"] || one.name == "code" }
        key = [Change::Add.new(kind: "attribute", name: "code", owner_id: entity.id, facts: { "key" => true })] if partial.empty? && !own
        [Change::Set.new(id: entity.id, fact: "strength", value: nil), *key]
      end

      # The relationship by which a weak entity is told from others: the first that joins it to its owner.
      #
      # @return [Model::Element, nil] a relationship
      def identifying(set, dependence)
        ends = dependence.targets.sort
        set.relations_between(*ends, "relationship").find { |one| one.targets.sort == ends }
      end

      # @return [Boolean] whether a relationship identifies one of its ends
      def identifying?(set, relationship)
        relationship.targets.uniq.flat_map { |id| of(set, id) }.any? { |one| identifying(set, one)&.id == relationship.id }
      end
    end
  end
end
