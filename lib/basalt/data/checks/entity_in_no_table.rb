# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity that no table keeps, where others have tables.
      class EntityInNoTable < Basalt::Checks::Check
        rule "entity-in-no-table", :hint, reads: %w[entity table]

        def findings
          threads = set.of_kind("table").filter_map { |table| table["thread"] }.to_set
          return [] if threads.empty?

          set
            .of_kind("entity")
            .reject { |entity| kept?(entity, threads) }
            .map do |entity|
              finding(
                entity.id,
                "No table keeps #{entity.name}",
                "Tables were derived before it was there, or its table was struck. Deriving again adds it."
              )
            end
        end

        private

        def kept?(entity, threads) =
          threads.include?(Logical::SpecialisationMapping.home(set, entity).id) || Logical::SpecialisationMapping.apart(set, entity).any?
      end
    end
  end
end
