# frozen_string_literal: true

module Store
  # Reads a project into a working set, all of it as it stood at one version.
  class Snapshot
    # @return [Basalt::Model::WorkingSet]
    # @raise [ActiveRecord::RecordNotFound]
    def self.read(project_id)
      ActiveRecord::Base.transaction(isolation: :repeatable_read) { new(project_id).read }
    end

    def initialize(project_id)
      @project = Project.find(project_id)
    end

    def read
      Basalt::Model::WorkingSet.new(project: @project.name, version: @project.version).tap do |set|
        Basalt::Model::RowTypes::ALL.each { |table, type| rows_of(type) { |row| set.table(table).put(row) } }
      end
    end

    private

    def query(sql) = ActiveRecord::Base.connection.exec_query(sql, "read", [@project.id]).to_a

    def rows_of(type)
      nested = type.nested.to_h { |member, value| [member, owned(type, member, value)] }
      parsed = parsed_columns(type)
      query("SELECT id, #{(type.columns - nested.keys).join(', ')} FROM #{type.table} WHERE project_id = $1 ORDER BY ordinal").each do |row|
        values = row.transform_keys(&:to_sym)
        parsed.each { |column| values[column] &&= JSON.parse(values[column]) }
        nested.each { |member, lists| values[member] = lists.fetch(values[:id], NONE) }
        yield type.row.new(**values)
      end
    end

    NONE = [].freeze
    private_constant :NONE

    def parsed_columns(type) = ActiveRecord::Base.connection.columns(type.table.to_s).select { |column| column.type == :jsonb }.map { |column| column.name.to_sym } & type.columns

    # What rows own, by their ids, in its order.
    def owned(type, member, value)
      columns = value.members.map { |column| "o.#{column}" }.join(", ")
      query("SELECT o.element_id, #{columns} FROM #{member} o JOIN #{type.table} x ON x.id = o.element_id WHERE x.project_id = $1 ORDER BY o.element_id, o.position")
        .group_by { |row| row.delete("element_id") }.transform_values { |list| list.map { |row| value.load(row.merge("facts" => JSON.parse(row["facts"]))) } }
    end
  end
end
