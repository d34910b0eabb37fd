# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A way over an entity to which not everything belongs: some can not be reached by it (Connolly and Begg, "Database Systems").
      class ChasmTrap < Basalt::Checks::Check
        rule "chasm-trap", :hint, reads: %w[entity relationship], each: "entity", near: 2

        def self.given(set) = Noun.language(set)

        def about(middle)
          relations = set.relations_of(middle.id, "relationship")
          optional = relations.filter_map { |one| step(one, middle.id) { |how_many| how_many.least&.zero? && how_many.most == 1 } }
          onwards = relations.filter_map { |one| step(one, middle.id, across: true) { |how_many| how_many.most == 1 } }
          optional
            .product(onwards)
            .reject { |lower, upper| lower == upper || direct?(lower, upper) }
            .map { |lower, upper| trap(middle, lower, upper) }
            .uniq(&:key)
        end

        private

        # @return [String, nil] id of the other end, where how many there are is as asked
        def step(relationship, id, across: false)
          here = relationship.ends.find { |joined| joined.target_id == id }
          other = relationship.ends.find { |joined| joined.target_id != id } or return
          other.target_id if yield Cardinality.read((across ? other : here).facts["cardinality"])
        end

        def direct?(one, other) = set.relations_between(one, other, "relationship").any?

        def trap(middle, lower, upper)
          low, high = [lower, upper].map { |id| Noun.of(set, set.element(id)) }
          finding(
            [middle.id, lower, upper],
            "Not every #{low} leads to #{high.one}",
            "#{low.first} without #{Noun.of(set, middle).one} belongs to no #{high}. " \
            "Where it does, relate the two directly."
          )
        end
      end
    end
  end
end
