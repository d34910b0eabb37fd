# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # An attribute whose type is a class is shown as a line to that class; its name is the role there.
        AsLine =
          Value.of(:id) do
            include Steps

            # @return [Model::Element] the association
            def apply(draft)
              part = feature(draft, id, "property")
              owner = draft.element(part.owner_id)
              names = Types.names(part["type"])
              found = names.flat_map { |name| Types.classes(draft, name, owner) }.uniq(&:id)
              raise Mistake, "the type of #{part.name} is no class" if found.empty?
              raise Mistake, "there are #{found.length} classes that #{part["type"]} could be" if found.length > 1

              line = Change::Add.new(kind: "association", ends: ends(part, owner, found.first)).apply(draft)
              draft.apply(Change::Remove.new(id:))
              show(draft, owner, found.first)
              line
            end

            private

            def ends(part, owner, other) =
              [
                ["one", owner.id, {}],
                ["other", other.id, { "role" => part.name, "multiplicity" => part["multiplicity"], "navigable" => "yes" }.compact]
              ]
          end
      end
    end
  end
end
