# frozen_string_literal: true

module Basalt
  module Model
    # One end of a relation: its role, the element it points at, and facts of its own.
    End = Value.of(:role, :target_id, :facts)
  end
end
