# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An entity that is related to nothing.
      class IsolatedEntity < Basalt::Checks::Check
        rule "isolated-entity", :hint, reads: %w[entity relationship specialisation dependence participation], each: "entity"

        # One that is alone could be related to nothing.
        def self.given(set) = set.elements.count_by(:kind, "entity") > 1

        def about(entity)
          return [] unless self.class.given(set)
          return [] if set.relations_of(entity.id, "relationship", "specialisation", "dependence", "participation").any?

          [finding(entity.id, "#{entity.name} is related to nothing", "Either a relationship is missing or nobody needs it here.")]
        end
      end
    end
  end
end
