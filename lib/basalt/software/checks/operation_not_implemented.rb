# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A class of which objects can be made lacks an operation that something above it declares.
      class OperationNotImplemented < Basalt::Checks::Check
        rule "operation-not-implemented", :error, reads: %w[class operation generalisation realisation]

        def findings = set.of_kind("class").select { |one| one["sort"].nil? }.flat_map { |one| about(one) }

        private

        def about(one)
          analysis[Classes::Inheritance].undone(one.id).map do |operation|
            from = set.element(operation.owner_id)
            finding(
              [one.id, from.id, operation.id],
              "#{one.name} does not do #{operation.name} of #{from.name}",
              "#{from.name} declares it and leaves it to those beneath; objects of #{one.name} could not answer.",
              repair: repair("Give #{one.name} the operation", adding(one, operation))
            )
          end
        end

        def adding(one, operation)
          words = operation["modifiers"].to_s.split(", ") - ["abstract"]
          facts = operation.facts.except("note", "modifiers").merge("modifiers" => (words.join(", ") if words.any?)).compact
          Change::Add.new(kind: "operation", name: operation.name, owner_id: one.id, facts:)
        end
      end
    end
  end
end
