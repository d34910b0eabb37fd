# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # Operations that tell an attribute and, unless it is only read, give it another value; the attribute itself is private from
        # then on.
        AddAccessors =
          Value.of(:id) do
            include Steps

            # @return [Array<Model::Element>] the operations
            def apply(draft)
              part = feature(draft, id, "property")
              type = part["type"]
              wanted = [Features::Operation.new(visibility: "+", name: part.name, type:, multiplicity: times(part))]
              wanted << setter(part, type) unless part["modifiers"].to_s.split(", ").include?("readOnly") || part["derived"]
              draft.apply(Change::Set.new(id:, fact: "visibility", value: "-"))
              owner = draft.element(part.owner_id)
              wanted.reject { |one| known?(draft, owner, one) }.map do |one|
                facts = Facts.of(one, "operation").compact
                Change::Add.new(kind: "operation", name: one.name, facts:, owner_id: owner.id).apply(draft)
              end
            end

            private

            def times(part) = part["multiplicity"]&.then { |text| Features::Multiplicity.of(text) }

            def setter(part, type)
              value = Features::Parameter.new(name: "value", type:, multiplicity: times(part))
              Features::Operation.new(visibility: "+", name: "set#{part.name[0].upcase}#{part.name[1..]}", parameters: [value])
            end

            def known?(draft, owner, operation) =
              Featuring.operations(draft, owner.id).any? { |part| Facts.feature(part).signature == operation.signature }
          end
      end
    end
  end
end
