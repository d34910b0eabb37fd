# frozen_string_literal: true

module Store
  # One act: what was said, by whom, and the rows before and after.
  class JournalEntry < ActiveRecord::Base
    self.table_name = "journal"
    self.primary_key = %i[project_id number]

    scope :acts, ->(project_id, sheet_id) { where(project_id:, sheet_id:, act: "act") }

    # @return [JournalEntry, nil] what an undo would take back
    def self.to_undo(project_id, sheet_id) = acts(project_id, sheet_id).where(state: "done").order(number: :desc).first

    # @return [JournalEntry, nil] what a redo would do again
    def self.to_redo(project_id, sheet_id) = acts(project_id, sheet_id).where(state: "undone").order(:number).first

    def effect = Basalt::Change::Effect.new(deltas: deltas.map { |delta| Rows.load_delta(delta) })
  end
end
