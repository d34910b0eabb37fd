# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A foreign key. +columns+ and +to+ are threads of columns, +table+ that of the table referred to.
      Reference = Value.of(:thread, :columns, :table, :to)
    end
  end
end
