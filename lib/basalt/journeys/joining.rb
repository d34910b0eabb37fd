# frozen_string_literal: true

module Basalt
  module Journeys
    # Joins what a step goes between, on the sheet where it is walked; what passes is what the line is called, where such lines have a name.
    Joining = Value.of(:step, :sheet_id, :kind) do
      # @param step [Survey::Step] with both parts
      # @return [Array<String>] kinds of lines that can join the two there
      def self.kinds(set, step, sheet_id)
        Change::Join.possible(set, step.from.id, step.to.id, set.sheets[sheet_id].notation.joining)
      end

      # @raise [Mistake] where nothing can
      def apply(draft)
        possible = self.class.kinds(draft, step, sheet_id)
        raise Mistake, "Nothing on this sheet joins #{step.from.name} and #{step.to.name}" if possible.empty?

        id = draft.new_id
        chosen = possible.include?(kind) ? kind : possible.first
        Change::Join.new(one_id: step.from.id, other_id: step.to.id, kind: chosen, id:).apply(draft)
        words = step.element["passes"]
        Change::Set.new(id:, fact: "name", value: words[0, Model::Names::LIMIT]).apply(draft) if words && Model::Catalogue.kind(chosen).named?
      end
    end
  end
end
