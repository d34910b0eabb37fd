# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Interactions that refer to each other in a circle.
      class ReferenceCycle < Basalt::Checks::Check
        rule "reference-cycle", :error, reads: %w[interaction fragment]

        MOST = 6

        def findings = Circles.of(Interactions::References.pairs(set)).map { |ids| circle(ids) }

        private

        def circle(ids)
          names = ids.map { |id| set.element(id).name }.sort
          told = names.one? ? "#{names.first} refers to itself" : "#{English.list(names.first(MOST))} refer to each other in a circle"
          finding(ids, told, "None of them would ever come to an end.", also: references(ids))
        end

        def references(ids)
          set.of_kind("fragment").select { |one| ids.include?(Interactions::References.of(set, one)&.id) }.map(&:id)
        end
      end
    end
  end
end
