# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An end of a relationship for which it is open how many there are.
      class UndecidedCardinality < Basalt::Checks::Check
        rule "undecided-cardinality", :hint, reads: %w[relationship participation entity sheet], each: "relationship", near: 1

        def self.given(set) = Noun.language(set)

        READY = %w[ready approved issued].freeze

        def about(one)
          return [] unless one.ends.any? { |joined| open?(joined) }

          names = one.ends.select { |joined| open?(joined) }.map { |joined| Noun.of(set, set.element(joined.target_id)).plural }
          [
            finding(
              one.id,
              "It is open how many #{English.list(names.uniq)} there are",
              "#{one.name}: tables can be derived, on the safe side, but what the database has to hold is not known."
            ).with(severity: ready?(one) ? :warning : :hint)
          ]
        end

        private

        def open?(joined) = Cardinality.read(joined.facts["cardinality"]).then { |how_many| how_many.least.nil? || how_many.most.nil? }

        # A sheet that is marked ready has decided.
        def ready?(one)
          one.targets.flat_map { |id| set.sheets_of(id) }.uniq.any? { |id| READY.include?(set.sheets[id].status.to_s.downcase) }
        end
      end
    end
  end
end
