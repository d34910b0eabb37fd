# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A table that entities come to; +why+ are sentences on what was done.
      Table = Value.of(:thread, :name, :columns, :references, :uniques, :minimums, :checks, :why) do
        def key = columns.select(&:key)
        def column(thread) = columns.find { |column| column.thread == thread }
      end
    end
  end
end
