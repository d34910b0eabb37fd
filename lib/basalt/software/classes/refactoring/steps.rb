# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Changes of a structure that keep what it says (Fowler, "Refactoring", 2018), each one act and one undo.
      module Refactoring
        # What the acts have in common.
        module Steps
          private

          # @return [Model::Element]
          def feature(draft, id, *kinds)
            part = draft.element(id) or raise Refusals::Gone, "the feature"
            kinds = Kinds::FEATURES if kinds.empty?
            raise Mistake, "#{part.name || part.kind} is no #{English.list(kinds)}" unless kinds.include?(part.kind)

            part
          end

          # Makes a class beside another: in the same package, on the same sheets.
          def beside(draft, other, name, facts = {})
            name = Model::Names.clean(name)
            raise Refusals::NameTaken.new("class", name) if draft.named(name, "class").any?

            made = Change::Add.new(kind: "class", name:, facts:, container_id: other.container_id).apply(draft)
            show(draft, other, made)
            made
          end

          def show(draft, other, made) =
            draft.sheets_of(other.id).each { |sheet_id| Change::Show.new(sheet_id:, element_id: made.id).apply(draft) }

          # Gives a feature another owner, behind what that has already.
          def hand(draft, part, owner_id)
            ranks = draft.parts_of(owner_id).map { |one| one.rank || 0 }
            moved = part.with(owner_id:, rank: Change::OrderKey.last(ranks))
            Change::Uniqueness.check(draft, moved)
            draft.put(:elements, moved)
          end

          def copy(draft, part, owner_id) =
            Change::Add.new(kind: part.kind, name: part.name, facts: part.facts, owner_id:).apply(draft)

          # @return [Array<Model::Element>] features of a class that say the same as another
          def same(draft, class_id, part)
            words = Facts.text(part)
            Featuring.of(draft, class_id).select { |one| one.kind == part.kind && Facts.text(one) == words }
          end
        end
      end
    end
  end
end
