# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity that is related to nothing.
      class IsolatedEntity < Basalt::Checks::Check
        rule "isolated-entity", :hint, reads: %w[entity relationship specialisation dependence participation]

        def findings
          all = set.of_kind("entity")
          return [] if all.length < 2

          all
            .select { |entity| set.relations_of(entity.id, "relationship", "specialisation", "dependence", "participation").empty? }
            .map do |entity|
              finding(entity.id, "#{entity.name} is related to nothing", "Either a relationship is missing or nobody needs it here.")
            end
        end
      end
    end
  end
end
