# frozen_string_literal: true

module Basalt
  module Cloud
    module Inventory
      # Something that an inventory has: its +key+ there, the kind, name and facts of what it is in a model, the key of what it is
      # +within+, and of a relation its +ends+, keys by role.
      Wanted = Value.of(:key, :kind, :name, :facts, :within, :ends)
    end
  end
end
