# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # An attribute becomes a class, to which a line leads from the one that had it.
        MakeClass =
          Value.of(:id, :name) do
            include Steps

            # @return [Model::Element] the class
            def apply(draft)
              part = feature(draft, id, "property")
              owner = draft.element(part.owner_id)
              made = beside(draft, owner, name.to_s.strip.empty? ? Facts.titled(part.name) : name)
              value = { "type" => part["type"], "default" => part["default"] }.compact
              Change::Add.new(kind: "property", name: "value", owner_id: made.id, facts: value).apply(draft)
              draft.apply(Change::Set.new(id:, fact: "default", value: nil), Change::Set.new(id:, fact: "type", value: made.name))
              AsLine.new(id:).apply(draft)
              made
            end
          end
      end
    end
  end
end
