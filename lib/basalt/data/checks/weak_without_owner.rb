# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A weak entity that depends on nothing.
      class WeakWithoutOwner < Basalt::Checks::Check
        rule "weak-without-owner", :error, reads: %w[entity dependence relationship], each: "entity", near: 2

        def about(entity)
          return [] unless Dependence.weak?(entity) && Dependence.of(set, entity.id).empty?

          [
            finding(
              entity.id,
              "#{entity.name} is weak and has no owner",
              "A weak entity is told from others by what it belongs to, and nothing is said of that.",
              repair: mend(entity)
            )
          ]
        end

        private

        # What it is related to as one of many may be the owner; otherwise it stands alone.
        def mend(entity)
          owner = set.relations_of(entity.id, "relationship").filter_map { |one| owner(one, entity) }.first
          if owner
            return (
              repair(
                "Make #{owner.name} its owner",
                Change::Add.new(kind: "dependence", ends: [["weak", entity.id], ["owner", owner.id]])
              )
            )
          end

          repair("Let #{entity.name} stand alone", *Dependence.standing_alone(set, entity))
        end

        def owner(relationship, entity)
          other = relationship.ends.find { |joined| joined.target_id != entity.id } or return
          if Cardinality.read(other.facts["cardinality"]).then { |how_many| how_many.least == 1 && how_many.most == 1 }
            set.element(other.target_id)
          end
        end
      end
    end
  end
end
