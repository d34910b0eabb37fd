# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # What a class is to be like after an entity or a table: its name, its features, what it is a kind of (ids of what these come from),
      # and its lines.
      Drawn = Value.of(:source_id, :name, :features, :generals, :lines)
      # A line from it to what came from another: the role and how many there are at either end.
      Line = Value.of(:other_id, :role, :times, :back_times)
    end
  end
end
