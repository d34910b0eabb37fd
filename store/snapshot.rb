# frozen_string_literal: true

module Store
  # Reads a project into a working set, all of it as it stood at one version. What many rows have in common, ids and words and
  # empty facts, is held once.
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
      Basalt::Model::WorkingSet
        .new(project: @project.name, version: @project.version)
        .tap { |set| Basalt::Model::RowTypes::ALL.each { |table, type| rows_of(type) { |row| set.table(table).put(row) } } }
    end

    private

    NONE = [].freeze
    EMPTY = {}.freeze
    # As the database writes them; keys in it have no order of their own.
    EMPTY_JSON = "{}"
    private_constant :NONE, :EMPTY, :EMPTY_JSON

    # Values as arrays, row by row, decoded by the connection.
    def each_row(sql)
      result = ActiveRecord::Base.connection.raw_connection.exec_params(sql, [@project.id])
      result.ntuples.times { |index| yield result.tuple_values(index) }
    ensure
      result&.clear
    end

    # Columns are asked for in the order of the row's members, with nothing in the place of what it owns.
    def rows_of(type)
      members = type.row.members
      nested = type.nested.map { |member, value| [members.index(member), owned(type, member, value)] }
      json = json_columns(type.table, members)
      shared =
        members.each_index.reject do |index|
          json.include?(index) || type.nested.key?(members[index]) || %i[name ordinal].include?(members[index])
        end
      columns = members.map { |member| type.nested.key?(member) ? "NULL" : member }
      each_row("SELECT #{columns.join(", ")} FROM #{type.table} WHERE project_id = $1 ORDER BY ordinal") do |values|
        json.each { |index| values[index] = parse(values[index]) }
        shared.each { |index| values[index] = share(values[index]) }
        nested.each { |index, lists| values[index] = lists.fetch(values[0], NONE) }
        yield type.row.restore(values)
      end
    end

    def json_columns(table, columns)
      known = ActiveRecord::Base.connection.schema_cache.columns_hash(table.to_s)
      columns.each_index.select { |index| known[columns[index].to_s]&.type == :jsonb }
    end

    def parse(text)
      return text if text.nil?

      text == EMPTY_JSON ? EMPTY : JSON.parse(text).freeze
    end

    def share(value) = value.is_a?(String) ? -value : value

    # What rows own, by their ids, in its order: it is put in order here, since few have more than two.
    def owned(type, member, value)
      columns = value.members.map { |column| "o.#{column}" }.join(", ")
      json = json_columns(member, value.members).map { |index| index + 2 }
      shared = [0, *(2...(value.members.length + 2))] - json
      lists = {}
      each_row(
        "SELECT o.element_id, o.position, #{columns} FROM #{member} o JOIN #{type.table} x ON x.id = o.element_id WHERE x.project_id = $1"
      ) do |values|
        json.each { |index| values[index] = parse(values[index]) }
        shared.each { |index| values[index] = share(values[index]) }
        id, position = values.shift(2)
        (lists[id] ||= [])[position] = value.restore(values)
      end
      lists.each_value { |list| list.compact!.then { list.freeze } }
    end
  end
end
