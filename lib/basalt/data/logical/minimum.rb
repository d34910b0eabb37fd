# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # That each row of a table is referred to by so many rows of another at least. +of+ is the
      # thread of the other table, +columns+ are threads of the columns there that refer.
      Minimum = Value.of(:thread, :of, :columns, :least)
    end
  end
end
