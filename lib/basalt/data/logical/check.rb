# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A condition that every row meets, in SQL.
      Check = Value.of(:thread, :expression)
    end
  end
end
