# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # The values of an attribute become an enumeration, which is its type from then on; the value that it begins with is the first.
        MakeEnumeration =
          Value.of(:id, :name, :values) do
            include Steps

            # @return [Model::Element] the enumeration
            def apply(draft)
              part = feature(draft, id, "property")
              owner = draft.element(part.owner_id)
              made = beside(draft, owner, name.to_s.strip.empty? ? Facts.titled(part.name) : name, { "sort" => Kinds::ENUMERATION })
              literals(part).each { |value| Change::Add.new(kind: "literal", name: value, owner_id: made.id).apply(draft) }
              draft.apply(Change::Set.new(id:, fact: "type", value: made.name))
              made
            end

            private

            def literals(part)
              said = values.to_s.split(/\s*,\s*/).map(&:strip).reject(&:empty?)
              first = part["default"]&.delete(%("'))
              [*(first if first&.match?(/\A[\p{L}_][\p{L}\p{N}_ ]*\z/)), *said].uniq
            end
          end
      end
    end
  end
end
