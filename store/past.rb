# frozen_string_literal: true

module Store
  # The model as it was after an act of the journal.
  module Past
    module_function

    # @param set [Basalt::Model::WorkingSet] as it is
    # @param number [Integer] of the act; 0 is before the first
    # @return [Basalt::Change::Draft] over the set
    def of(project_id, set, number)
      draft = Basalt::Change::Draft.new(set)
      JournalEntry.where(project_id:).where("number > ?", number).order(number: :desc).each do |entry|
        entry.effect.deltas.reverse_each { |delta| draft.take([delta.inverse]) }
      end
      draft
    end
  end
end
