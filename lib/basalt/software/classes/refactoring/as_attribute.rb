# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # A line to a class is shown as an attribute of the class that it comes from; the role there is its name.
        AsAttribute =
          Value.of(:id) do
            include Steps

            # @return [Model::Element] the attribute
            def apply(draft)
              line = draft.element(id) or raise Refusals::Gone, "the line"
              raise Mistake, "only a line between classes can be an attribute" unless Kinds::ASSOCIATIONS.include?(line.kind)

              last = line.ends.last
              other = draft.element(last.target_id)
              name = last.facts["role"] || (other.name[0].downcase + other.name[1..].to_s)
              facts = { "type" => other.name, "multiplicity" => last.facts["multiplicity"] }.compact
              made = Change::Add.new(kind: "property", name:, owner_id: line.ends.first.target_id, facts:).apply(draft)
              draft.apply(Change::Remove.new(id:))
              made
            end
          end
      end
    end
  end
end
