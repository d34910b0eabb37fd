# frozen_string_literal: true

module Store
  # The model's rows as JSON, for the journal.
  module Rows
    module_function

    def dump_delta(delta)
      { "table" => delta.table, "id" => delta.id, "before" => delta.type.dump(delta.before), "after" => delta.type.dump(delta.after) }
    end

    def load_delta(json)
      type = Basalt::Model::RowTypes.of(json["table"].to_sym)
      Basalt::Change::Delta.new(table: type.table, id: json["id"], before: type.load(json["before"]), after: type.load(json["after"]))
    end
  end
end
