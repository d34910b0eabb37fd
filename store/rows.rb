# frozen_string_literal: true

module Store
  # The model's rows as JSON, for the journal.
  module Rows
    module_function

    def dump_delta(delta)
      { "table" => delta.table.name, "id" => delta.id, "before" => delta.type.dump(delta.before), "after" => delta.type.dump(delta.after) }
    end

    # @param version [Integer] of the shape that the rows were kept in
    def load_delta(json, version)
      type = Basalt::Model::RowTypes.of(json["table"].to_sym)
      before, after =
        json.values_at("before", "after").map { |row| type.load(Basalt::Model::RowVersions.upgrade(type.table, row, version)) }
      Basalt::Change::Delta.new(table: type.table, id: json["id"], before:, after:)
    end
  end
end
