# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # What others may ask of a class becomes an interface that it realises: the chosen operations, or all that are not private.
        ExtractInterface =
          Value.of(:class_id, :feature_ids, :name) do
            include Steps

            # @return [Model::Element] the interface
            def apply(draft)
              owner = draft.element(class_id) or raise Refusals::Gone, "the class"
              made = beside(draft, owner, name, { "sort" => Kinds::INTERFACE })
              operations(draft, owner).each { |part| copy(draft, part.with(facts: declared(part)), made.id) }
              Change::Add.new(kind: "realisation", ends: [["realiser", owner.id], ["realised", made.id]]).apply(draft)
              made
            end

            private

            def operations(draft, owner)
              all = Featuring.operations(draft, owner.id)
              chosen = feature_ids.to_a
              found = all.select { |part| chosen.empty? ? part["visibility"] != "-" : chosen.include?(part.id) }
              raise Mistake, "#{owner.name} has no operation that others could ask for" if found.empty?

              found
            end

            def declared(part)
              words = part["modifiers"].to_s.split(", ") - %w[abstract static]
              part.facts.except("modifiers", "note").merge("modifiers" => (words.join(", ") if words.any?)).compact
            end
          end
      end
    end
  end
end
