# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A foreign key. +columns+ and +to+ are threads of columns, +table+ that of the table referred to; +deleting+ is what becomes
      # of a row whose row there is deleted, one of Kinds::ACTIONS.
      Reference = Value.of(:thread, :columns, :table, :to, :deleting)
    end
  end
end
