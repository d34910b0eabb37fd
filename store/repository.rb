# frozen_string_literal: true

module Store
  # Keeps what a draft came to: one transaction, compared and set fact by fact, with an entry
  # in the journal numbered under the project's row lock.
  class Repository
    # @param said_by [String] who acts
    def initialize(project_id, said_by:)
      @project_id = project_id
      @said_by = said_by
    end

    # @param effect [Basalt::Change::Effect]
    # @param said [String] the act in words
    # @param act [String] +act+, +undo+ or +redo+; the latter two are +of+ another entry
    # @return [Integer] the version that the project has now
    # @raise [Basalt::Change::Conflict] when a fact is no longer what the effect was made from
    def commit(effect, said:, sheet_id: nil, act: "act", of: nil)
      ActiveRecord::Base.transaction do
        version = lock
        Writer.new(@project_id).write(effect)
        record(effect, version, said:, sheet_id:, act:, of:)
        version
      end
    rescue ActiveRecord::RecordNotUnique, ActiveRecord::InvalidForeignKey
      raise Basalt::Change::Conflict, "somebody else altered this at the same time; nothing of it was kept"
    end

    private

    def connection = ActiveRecord::Base.connection

    def lock
      row = connection.exec_query("UPDATE projects SET version = version + 1 WHERE id = $1 RETURNING version", "lock", [@project_id]).first
      raise ActiveRecord::RecordNotFound, "the project is gone" unless row

      row["version"]
    end

    def record(effect, number, said:, sheet_id:, act:, of:)
      connection.exec_update("UPDATE projects SET name = $2 WHERE id = $1", "name", [@project_id, effect.project]) if effect.project
      settle(sheet_id, act, of)
      JournalEntry.insert({ project_id: @project_id, number:, sheet_id:, act:, of_number: of, state: act == "act" ? "done" : "record",
                            said: said[0, 500], said_by: @said_by, deltas: effect.deltas.map { |delta| Rows.dump_delta(delta) } })
    end

    # A new act ends what could be done again; an undo or redo turns the entry it is of.
    def settle(sheet_id, act, of)
      if act == "act"
        JournalEntry.acts(@project_id, sheet_id).where(state: "undone").update_all(state: "dropped")
      else
        JournalEntry.where(project_id: @project_id, number: of).update_all(state: act == "undo" ? "undone" : "done")
      end
    end
  end
end
