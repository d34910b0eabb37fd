# frozen_string_literal: true

module Store
  # What happened to a project since a version, and what it is called now: read in one statement, so that both belong together.
  class JournalTail
    # One act that was missed.
    Entry = Struct.new(:number, :effect)
    # Acts after which the project is rather read whole.
    MOST = 1000

    SQL = <<~SQL
      SELECT p.version, p.name, j.number, j.deltas, j.row_version FROM projects p
      LEFT JOIN LATERAL (SELECT number, deltas, row_version FROM journal WHERE project_id = p.id AND number > $2 ORDER BY number LIMIT #{MOST + 1}) j ON true
      WHERE p.id = $1 ORDER BY j.number
    SQL
    private_constant :SQL

    # @param from [Integer] the version that is known
    # @raise [ActiveRecord::RecordNotFound]
    def initialize(project_id, from)
      @from = from
      @rows = ActiveRecord::Base.connection.exec_query(SQL, "tail", [project_id, from], prepare: true).to_a
      raise ActiveRecord::RecordNotFound, "there is no such project" if @rows.empty?
    end

    def version = @rows.first["version"]
    def name = @rows.first["name"]

    # @return [Boolean] whether the version is still the newest
    def newest? = version == @from

    # @return [Boolean] whether there is more than should be followed act by act
    def too_long? = version < @from || @rows.length > MOST

    # @return [Array<Entry>] in order; a version at which only the name became different has none
    def entries
      @rows
        .select { |row| row["number"] }
        .map do |row|
          deltas = JSON.parse(row["deltas"]).map { |delta| Rows.load_delta(delta, row["row_version"]) }
          Entry.new(row["number"], Basalt::Change::Effect.new(deltas:))
        end
    end
  end
end
