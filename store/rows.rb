# frozen_string_literal: true

module Store
  # The model's rows as JSON, for the journal and for columns.
  module Rows
    TYPES = { elements: Basalt::Model::Element, sheets: Basalt::Model::Sheet, placements: Basalt::Model::Placement,
              waivers: Basalt::Model::Waiver }.freeze

    module_function

    def dump_delta(delta)
      { "table" => delta.table, "id" => delta.id, "before" => dump(delta.before), "after" => dump(delta.after) }
    end

    def load_delta(json)
      table = json["table"].to_sym
      Basalt::Change::Delta.new(table:, id: json["id"], before: restore(table, json["before"]), after: restore(table, json["after"]))
    end

    def dump(row)
      return unless row

      row.to_h.compact.tap { |hash| hash[:ends] = hash[:ends].map { |e| e.to_h.compact } if hash[:ends] }
    end

    def restore(table, hash)
      return unless hash

      values = hash.transform_keys(&:to_sym)
      values[:ends] = values[:ends].map { |e| end_of(e) } if values[:ends]
      TYPES.fetch(table).new(**values)
    end

    def end_of(hash)
      Basalt::Model::End.new(role: hash["role"], target_id: hash["target_id"], facts: (hash["facts"] || {}).freeze)
    end
  end
end
