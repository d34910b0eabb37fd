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

    # @return [JournalEntry, nil] the act that was asked for under that id
    def self.asked_for(project_id, act_id) =
      act_id && where(project_id:, act_id:).select(:project_id, :number, :sheet_id, :said, :answer).first

    # @return [Array<JournalEntry>] the act, and how its sheet was laid out afresh because of it, in order
    def whole = [self, *JournalEntry.where(project_id:, act: "growth", of_number: number).order(:number)]

    ABOUT =
      "EXISTS (SELECT 1 FROM jsonb_array_elements(deltas) AS delta " \
      "WHERE ? IN (delta ->> 'id', delta -> 'before' ->> 'element_id', delta -> 'after' ->> 'element_id'))"
    private_constant :ABOUT

    # @param element_id [String, nil] entries that altered this element or where it stands
    # @return [ActiveRecord::Relation] latest first
    def self.told(project_id, sheet_id: nil, element_id: nil)
      found = where(project_id:).select(:project_id, :number, :sheet_id, :act, :state, :said, :said_by, :at).order(number: :desc)
      found = found.where(sheet_id:) if sheet_id
      element_id ? found.where(ABOUT, element_id) : found
    end

    def effect = Basalt::Change::Effect.new(deltas: deltas.map { |delta| Rows.load_delta(delta, row_version) })
  end
end
