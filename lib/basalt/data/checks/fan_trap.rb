# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Two relationships that fan out from one entity: which of the one goes with which of the other cannot be told
      # (Connolly and Begg, "Database Systems").
      class FanTrap < Basalt::Checks::Check
        rule "fan-trap", :hint, reads: %w[entity relationship], each: "entity", near: 3

        def about(entity)
          fans = set.relations_of(entity.id, "relationship").filter_map { |one| fan(one, entity.id) }.uniq { |_, other| other }
          fans
            .combination(2)
            .reject { |(_, one), (_, other)| one == other || direct?(one, other) }
            .map { |(_, one), (_, other)| untold(entity, one, other) }
        end

        private

        def untold(entity, one, other)
          names = [one, other].map { |id| set.element(id).name }
          finding(
            [entity.id, one, other],
            "Which #{names[0]} goes with which #{names[1]} cannot be told through #{entity.name}",
            "Both fan out from #{entity.name}. Where that matters, relate #{names[0]} and #{names[1]} directly."
          )
        end

        # @return [Array(Model::Element, String), nil] where there are many of the other for one
        def fan(relationship, id)
          here = relationship.ends.find { |joined| joined.target_id == id }
          across = relationship.ends.find { |joined| joined.target_id != id } or return
          if Cardinality.read(across.facts["cardinality"]).most == Float::INFINITY &&
             Cardinality.read(here.facts["cardinality"]).most == 1
            [relationship, across.target_id]
          end
        end

        def direct?(one, other) = set.relations_between(one, other, "relationship").any?
      end
    end
  end
end
