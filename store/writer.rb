# frozen_string_literal: true

module Store
  # Writes deltas as SQL: made rows in bulk, altered ones only where they are still what they
  # were, and only what is different.
  class Writer
    BATCH = 1000
    ELEMENT = %i[kind name owner_id rank container_id assumed said_by external_id ordinal].freeze
    WAIVER = %i[finding state reason said_by at ordinal].freeze
    SHEET = %i[name notation number band revision status drawn_by dated subject_id view ordinal].freeze

    def initialize(project_id)
      @project_id = project_id
    end

    # @param effect [Basalt::Change::Effect]
    # @raise [Basalt::Change::Conflict]
    def write(effect)
      made, rest = effect.deltas.partition { |delta| delta.before.nil? }
      struck, altered = rest.partition { |delta| delta.after.nil? }
      delete(struck)
      make(made)
      alter(altered)
    end

    private

    def connection = ActiveRecord::Base.connection

    def conflict(delta)
      row = delta.before || delta.after
      raise Basalt::Change::Conflict, "#{row.respond_to?(:name) && row.name ? row.name : 'it'} was altered by somebody else in the meantime"
    end

    def make(deltas)
      rows = deltas.group_by(&:table).transform_values { |list| list.map(&:after) }
      insert("sheets", rows.fetch(:sheets, []).map { |s| s.to_h.slice(:id, *SHEET).merge(project_id: @project_id) })
      insert("elements", rows.fetch(:elements, []).map { |e| e.to_h.slice(:id, *ELEMENT).merge(project_id: @project_id, facts: e.facts, identity: Basalt::Change::Uniqueness.digest(e)) })
      insert("ends", rows.fetch(:elements, []).flat_map { |e| ends(e) })
      insert("waivers", rows.fetch(:waivers, []).map { |w| w.to_h.merge(project_id: @project_id) })
      insert("placements", rows.fetch(:placements, []).map { |p| p.to_h.merge(project_id: @project_id) })
    end

    def ends(element)
      element.ends.each_with_index.map { |e, position| { element_id: element.id, position:, role: e.role, target_id: e.target_id, facts: e.facts } }
    end

    # One statement a batch, the rows handed over as JSON.
    def insert(table, rows)
      rows.each_slice(BATCH) do |batch|
        columns = batch.first.keys
        connection.exec_update("INSERT INTO #{table} (#{columns.join(', ')}) SELECT #{columns.join(', ')} FROM jsonb_populate_recordset(NULL::#{table}, $1::jsonb)",
                               "insert", [batch.to_json])
      end
    end

    def delete(deltas)
      { elements: [], placements: [], waivers: [], sheets: [] }.merge(deltas.group_by(&:table)).each do |table, list|
        next if list.empty?

        ids = list.map(&:id)
        connection.exec_update("DELETE FROM ends WHERE element_id = ANY(ARRAY(SELECT jsonb_array_elements_text($1::jsonb)::uuid))", "ends", [ids.to_json]) if table == :elements
        gone = connection.exec_delete("DELETE FROM #{table} WHERE project_id = $2 AND id = ANY(ARRAY(SELECT jsonb_array_elements_text($1::jsonb)::uuid))",
                                      "delete", [ids.to_json, @project_id])
        conflict(list.first) if gone != list.length && table == :elements
      end
    end

    def alter(deltas)
      placements, others = deltas.partition { |delta| delta.table == :placements }
      alter_placements(placements)
      others.each { |delta| delta.table == :elements ? alter_element(delta) : alter_columns(delta, delta.table.to_s, delta.table == :sheets ? SHEET : WAIVER) }
    end

    # All at once: tidying alters thousands. What a placement does not alter stays as somebody else
    # may have left it; what it alters must be what it was, its shape fact by fact.
    def alter_placements(deltas)
      deltas.each_slice(BATCH) do |batch|
        count = connection.exec_update(<<~SQL, "place", [batch.map { |delta| placed(delta) }.to_json, @project_id])
          UPDATE placements p
          SET x = v.x, y = v.y, w = v.w, h = v.h, pinned = v.pinned, by_hand = v.by_hand, route = CASE WHEN v.rerouted THEN v.route ELSE p.route END,
              shape = NULLIF((coalesce(p.shape, '{}') || v.patch) - ARRAY(SELECT jsonb_array_elements_text(v.cleared)), '{}')
          FROM jsonb_to_recordset($1::jsonb) AS v(id uuid, x float8, y float8, w float8, h float8, pinned boolean, by_hand boolean, route jsonb, rerouted boolean, patch jsonb, cleared jsonb,
                                                  was_x float8, was_y float8, was_w float8, was_h float8, was_pinned boolean, was_route jsonb, was_shape jsonb)
          WHERE p.id = v.id AND p.project_id = $2 AND p.pinned = v.was_pinned
            AND (p.x, p.y, p.w, p.h) IS NOT DISTINCT FROM (v.was_x, v.was_y, v.was_w, v.was_h)
            AND (NOT v.rerouted OR coalesce(p.route, 'null') = coalesce(v.was_route, 'null'))
            AND NOT EXISTS (SELECT 1 FROM jsonb_each(v.was_shape) AS was(key, value) WHERE NULLIF(was.value, 'null'::jsonb) IS DISTINCT FROM p.shape -> was.key)
        SQL
        raise Basalt::Change::Conflict, "somebody else moved this in the meantime" if count != batch.length
      end
    end

    def placed(delta)
      before, after = delta.before, delta.after
      was, now = [before, after].map { |row| row.shape || {} }
      keys = (was.keys | now.keys).reject { |key| was[key] == now[key] }
      after.to_h.slice(:id, :x, :y, :w, :h, :pinned, :by_hand, :route).merge(
        rerouted: before.route != after.route, patch: now.slice(*keys), cleared: keys - now.keys, was_shape: keys.to_h { |key| [key, was[key]] },
        was_x: before.x, was_y: before.y, was_w: before.w, was_h: before.h, was_pinned: before.pinned, was_route: before.route
      )
    end

    def alter_element(delta)
      alter_columns(delta, "elements", ELEMENT)
      alter_facts(delta)
      alter_identity(delta)
      return if delta.before.ends == delta.after.ends

      alter_ends(delta)
    end

    def alter_identity(delta)
      before, after = [delta.before, delta.after].map { |element| Basalt::Change::Uniqueness.digest(element) }
      connection.exec_update("UPDATE elements SET identity = $1 WHERE id = $2", "identity", [after, delta.id]) unless before == after
    end

    def alter_columns(delta, table, columns)
      changed = columns & delta.altered
      return if changed.empty?

      sets = changed.each_index.map { |i| "#{changed[i]} = $#{i + 3}" }
      olds = changed.each_index.map { |i| "#{changed[i]} IS NOT DISTINCT FROM $#{changed.length + i + 3}" }
      count = connection.exec_update("UPDATE #{table} SET #{sets.join(', ')} WHERE id = $1 AND project_id = $2 AND #{olds.join(' AND ')}", "alter",
                                     [delta.id, @project_id, *written(delta.after, changed), *written(delta.before, changed)])
      conflict(delta) if count.zero?
    end

    def written(row, columns) = row.to_h.values_at(*columns).map { |value| value.is_a?(Hash) ? value.to_json : value }

    # Only the facts that differ are written, and only over the values they were read with.
    def alter_facts(delta)
      keys = (delta.before.facts.keys | delta.after.facts.keys).reject { |key| delta.before.facts[key] == delta.after.facts[key] }
      return if keys.empty?

      patch = delta.after.facts.slice(*keys)
      old = keys.to_h { |key| [key, delta.before.facts[key]] }
      count = connection.exec_update(<<~SQL, "facts", [delta.id, @project_id, patch.to_json, (keys - patch.keys).to_json, old.to_json])
        UPDATE elements SET facts = (facts || $3::jsonb) - ARRAY(SELECT jsonb_array_elements_text($4::jsonb))
        WHERE id = $1 AND project_id = $2
          AND NOT EXISTS (SELECT 1 FROM jsonb_each($5::jsonb) AS was(key, value)
                          WHERE NULLIF(was.value, 'null'::jsonb) IS DISTINCT FROM facts -> was.key)
      SQL
      conflict(delta) if count.zero?
    end

    def alter_ends(delta)
      standing = connection.exec_query("SELECT role, target_id, facts FROM ends WHERE element_id = $1 ORDER BY position", "ends", [delta.id]).to_a
                           .map { |row| Rows.end_of(row.merge("facts" => JSON.parse(row["facts"]))) }
      conflict(delta) unless standing == delta.before.ends

      connection.exec_delete("DELETE FROM ends WHERE element_id = $1", "ends", [delta.id])
      insert("ends", ends(delta.after))
    end
  end
end
