# frozen_string_literal: true

module Store
  # Writes deltas as SQL: made rows in bulk, altered ones only where they are still what they
  # were, and only what is different. The tables are as Model::RowTypes describes them.
  class Writer
    BATCH = 1000
    TYPES = Basalt::Model::RowTypes::ALL

    def initialize(project_id)
      @project_id = project_id
    end

    # @param effect [Basalt::Change::Effect]
    # @raise [Basalt::Change::Conflict]
    def write(effect)
      made, rest = effect.deltas.partition { |delta| delta.before.nil? }
      struck, altered = rest.partition { |delta| delta.after.nil? }
      delete(by_type(struck))
      make(by_type(made))
      by_type(altered).each { |type, deltas| alter(type, deltas) }
    end

    private

    def connection = ActiveRecord::Base.connection
    def conflict(type, row) = raise(Basalt::Change::Conflict, type.conflict.call(row))

    # Names of tables are far quicker told apart than their descriptions.
    def by_type(deltas) = deltas.group_by(&:table).transform_keys { |table| TYPES.fetch(table) }

    # All rows of one table before what they own, in the order in which the tables can be made.
    def make(deltas)
      TYPES.each_value do |type|
        rows = deltas.fetch(type, []).map(&:after)
        next if rows.empty?

        insert(type, rows)
        type.nested.each_key { |member| insert_owned(type, member, rows) }
      end
    end

    def insert(type, rows)
      members = type.row.members
      own = members.each_index.reject { |index| type.nested.key?(members[index]) }
      derived = type.derived.values
      CopyStream.into(type.table, [*members.values_at(*own), *type.derived.keys, :project_id]) do |table|
        rows.each { |row| table << [*row.to_a.values_at(*own), *derived.map { |made| made.call(row) }, @project_id] }
      end
    end

    def insert_owned(type, member, rows)
      return if rows.all? { |row| row.public_send(member).empty? }

      CopyStream.into(member, [:element_id, :position, *type.nested[member].members]) do |table|
        rows.each { |row| row.public_send(member).each_with_index { |one, position| table << [row.id, position, *one] } }
      end
    end

    def delete(deltas)
      deltas.each do |type, list|
        ids = list.map(&:id).to_json
        type.nested.each_key { |member| connection.exec_update("DELETE FROM #{member} WHERE element_id = ANY(#{IDS})", "owned", [ids]) }
        gone =
          connection.exec_delete("DELETE FROM #{type.table} WHERE project_id = $2 AND id = ANY(#{IDS})", "delete", [ids, @project_id])
        conflict(type, list.first.before) if gone != list.length && type.nested.any?
      end
    end

    IDS = "ARRAY(SELECT jsonb_array_elements_text($1::jsonb)::uuid)"
    private_constant :IDS

    # Those that differ in the same members at once: tidying alters thousands.
    def alter(type, deltas)
      deltas
        .group_by { |delta| delta.altered - type.nested.keys }
        .each { |altered, list| list.each_slice(BATCH) { |batch| update(type, altered, batch) } if altered.any? }
      type.nested.each_key { |member| deltas.each { |delta| replace(type, member, delta) if delta.altered.include?(member) } }
    end

    # What is not altered stays as somebody else may have left it; what is must be what it was.
    def update(type, altered, deltas)
      merged = altered & type.merged
      whole = altered & type.whole
      compared = type.compared(altered)
      values =
        deltas.map do |delta|
          {
            now: now(type, delta, whole),
            was: delta.before.to_h.slice(*compared),
            **merged.to_h { |member| [member, patch(delta, member)] }
          }
        end
      done = connection.exec_query(update_sql(type, whole, compared, merged), "alter", [JSON.generate(values), @project_id]).rows.flatten
      missed = deltas.find { |delta| !done.include?(delta.id) } if done.length != deltas.length
      conflict(type, missed.before) if missed
    end

    def now(type, delta, whole) =
      { id: delta.id, **delta.after.to_h.slice(*whole), **type.derived.transform_values { |made| made.call(delta.after) } }

    # Only the facts that differ are written, and only over the values that they had.
    def patch(delta, member)
      was, now = [delta.before, delta.after].map { |row| row.public_send(member) || {} }
      keys = (was.keys | now.keys).reject { |key| was[key] == now[key] }
      { set: now.slice(*keys), cleared: keys - now.keys, was: keys.to_h { |key| [key, was[key]] } }
    end

    def update_sql(type, whole, compared, merged)
      sets =
        (whole + type.derived.keys).map { |column| "#{column} = n.#{column}" } +
        merged.map { |column| "#{column} = #{merged_sql(type, column)}" }
      same = compared.map { |column| "t.#{column} IS NOT DISTINCT FROM w.#{column}" } + merged.map { |column| unaltered_sql(column) }
      <<~SQL
        UPDATE #{type.table} t SET #{sets.join(", ")}
        FROM jsonb_array_elements($1::jsonb) AS v(row), jsonb_populate_record(NULL::#{type.table}, v.row -> 'now') AS n, jsonb_populate_record(NULL::#{type.table}, v.row -> 'was') AS w
        WHERE t.id = n.id AND t.project_id = $2#{same.map { |condition| " AND #{condition}" }.join} RETURNING t.id
      SQL
    end

    # A member that may be nil is nil when nothing is left in it.
    def merged_sql(type, column)
      patched =
        "(coalesce(t.#{column}, '{}') || (v.row #> '{#{column},set}')) - ARRAY(SELECT jsonb_array_elements_text(v.row #> '{#{column},clea" \
        "red}'))"
      connection.schema_cache.columns_hash(type.table.to_s).fetch(column.to_s).null ? "NULLIF(#{patched}, '{}')" : patched
    end

    def unaltered_sql(column)
      "NOT EXISTS (SELECT 1 FROM jsonb_each(v.row #> '{#{column},was}') AS was(key, value) WHERE NULLIF(was.value, 'null'::jsonb) IS " \
        "DISTINCT FROM t.#{column} -> was.key)"
    end

    def replace(type, member, delta)
      columns = type.nested[member].members.join(", ")
      standing =
        connection
          .exec_query("SELECT #{columns} FROM #{member} WHERE element_id = $1 ORDER BY position", "owned", [delta.id])
          .to_a
          .map { |row| type.nested[member].load(row.merge("facts" => JSON.parse(row["facts"]))) }
      conflict(type, delta.before) unless standing == delta.before.public_send(member)

      connection.exec_delete("DELETE FROM #{member} WHERE element_id = $1", "owned", [delta.id])
      insert_owned(type, member, [delta.after])
    end
  end
end
