# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # Some features of a class become a class of their own, which is a part of it.
        ExtractClass =
          Value.of(:class_id, :feature_ids, :name) do
            include Steps

            # @return [Model::Element] the class
            def apply(draft)
              owner = draft.element(class_id) or raise Refusals::Gone, "the class"
              parts = feature_ids.map { |id| feature(draft, id) }
              raise Mistake, "choose the features that go into the new class" if parts.empty?
              raise Mistake, "only features of #{owner.name} can go" unless parts.all? { |part| part.owner_id == class_id }

              made = beside(draft, owner, name)
              parts.each { |part| hand(draft, part, made.id) }
              Change::Add.new(kind: "composition", ends: ends(owner, made)).apply(draft)
              made
            end

            private

            def ends(owner, made) =
              [["whole", owner.id, { "multiplicity" => "1" }], ["part", made.id, { "multiplicity" => "1", "role" => role(made) }]]

            def role(made) = made.name[0].downcase + made.name[1..].to_s
          end
      end
    end
  end
end
