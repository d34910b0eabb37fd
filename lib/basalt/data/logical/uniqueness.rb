# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Columns that are unique together, by their threads.
      Uniqueness = Value.of(:thread, :columns)
    end
  end
end
