# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # What entities come to that is no table: a +query+ in SQL under a name.
      View = Value.of(:thread, :name, :query, :why)
    end
  end
end
