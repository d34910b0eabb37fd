# frozen_string_literal: true

module Store
  # Keeps what a draft came to: one transaction, compared and set fact by fact, with an entry
  # in the journal numbered under the project's row lock.
  class Repository
    # The project's row is locked from here to the end of the transaction. A new act ends what
    # could be done again; an undo or redo turns the entry it is of. What is meant for the newest version alone gives way to
    # another process that acts on the project alone (Project.alone), which would otherwise be overtaken again and again.
    RECORD = <<~SQL
      WITH project AS (UPDATE projects SET version = version + 1, name = coalesce($3, name) WHERE id = $1 AND ($11::bigint IS NULL OR version = $11 AND pg_try_advisory_xact_lock($12)) RETURNING version),
           settled AS (UPDATE journal SET state = CASE $4 WHEN 'act' THEN 'dropped' WHEN 'undo' THEN 'undone' ELSE 'done' END
                       WHERE project_id = $1 AND CASE $4 WHEN 'act' THEN sheet_id IS NOT DISTINCT FROM $2 AND act = 'act' AND state = 'undone'
                                                 ELSE number = $5 END)
      INSERT INTO journal (project_id, number, sheet_id, act, of_number, state, said, said_by, deltas, act_id, answer, row_version)
      SELECT $1, version, $2, $4, $5, CASE $4 WHEN 'act' THEN 'done' ELSE 'record' END, $6, $7, $8, $9, $10, #{Basalt::Model::RowVersions::CURRENT} FROM project RETURNING number
    SQL
    private_constant :RECORD

    # Somebody else's act came first: the effect was made from what no longer stands.
    class Stale < Basalt::Change::Conflict
      def initialize = super("somebody else altered the project at the same time; nothing of it was kept")
    end

    # What a page asked for was kept already, when it asked for it before.
    class Repeated < Basalt::Change::Conflict
      def initialize = super("this was done already")
    end

    # @param said_by [String] who acts
    def initialize(project_id, said_by:)
      @project_id = project_id
      @said_by = said_by
    end

    # @param effect [Basalt::Change::Effect]
    # @param said [String] the act in words
    # @param act [String] +act+, +undo+ or +redo+; the latter two are +of+ another entry
    # @param from [Integer, nil] the version that the effect was made from, when it may be kept only as the next one; without it
    #   facts are compared one by one, and new rows join behind those that came in between
    # @param request [Store::Request, nil] what a page asked for, remembered with the act
    # @yield what else is kept in the same transaction
    # @return [Integer] the version that the project has now
    # @raise [Repeated] when the page's act was kept before
    # @raise [Stale] when the project has another version
    # @raise [Basalt::Change::Conflict] when a fact is no longer what the effect was made from
    def commit(effect, said:, sheet_id: nil, act: "act", of: nil, from: nil, request: nil)
      ActiveRecord::Base.transaction do
        effect = behind_others(effect) unless from
        version = record(effect, said:, sheet_id:, act:, of:, from:, request:)
        Writer.new(@project_id).write(effect)
        yield if block_given?
        version
      end
    rescue ActiveRecord::RecordNotUnique, ActiveRecord::InvalidForeignKey => e
      raise Repeated if e.message.include?("act_id")

      raise Basalt::Change::Conflict, "somebody else altered this at the same time; nothing of it was kept"
    end

    private

    def connection = ActiveRecord::Base.connection

    def raise_missing(from)
      raise Stale if from && Project.exists?(@project_id)

      raise ActiveRecord::RecordNotFound, "the project is gone"
    end

    # New rows come behind those that somebody else made in the meantime.
    def behind_others(effect)
      connection.exec_query("SELECT 1 FROM projects WHERE id = $1 FOR UPDATE", "lock", [@project_id])
      shifts =
        Basalt::Model::RowTypes.tables.to_h do |table|
          [table, shift(table, effect.on(table).filter_map { |delta| delta.after.ordinal unless delta.before })]
        end
      return effect if shifts.values.all?(&:zero?)

      effect.with(
        deltas:
          effect.deltas.map do |delta|
            delta.before ? delta : delta.with(after: delta.after.with(ordinal: delta.after.ordinal + shifts[delta.table]))
          end
      )
    end

    def shift(table, ordinals)
      return 0 if ordinals.empty?

      most = connection.exec_query("SELECT max(ordinal) FROM #{table} WHERE project_id = $1", "last", [@project_id]).rows.dig(0, 0).to_i
      [most + 1 - ordinals.min, 0].max
    end

    def record(effect, said:, sheet_id:, act:, of:, from:, request:)
      deltas = JSON.generate(effect.deltas.map { |delta| Rows.dump_delta(delta) })
      values = [
        @project_id,
        sheet_id,
        effect.project,
        act,
        of,
        said[0, 500],
        @said_by,
        deltas,
        request&.id,
        request&.answer&.to_json,
        from,
        Project.lock_key(@project_id)
      ]
      row = connection.exec_query(RECORD, "record", values, prepare: true).first
      raise_missing(from) unless row

      row["number"]
    end
  end
end
