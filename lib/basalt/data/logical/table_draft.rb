# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A table being put together.
      class TableDraft
        def initialize(thread, name)
          @thread = thread
          @name = name
          @columns = []
          @references = []
          @uniques = []
          @checks = []
          @why = []
        end

        attr_reader :thread, :name

        # @return [Column] under a name that no other column has
        def add(column)
          known = @columns.find { |one| one.thread == column.thread } and return known

          column.with(name: free(column.name)).tap { |one| @columns << one }
        end

        def key = @columns.select(&:key)
        def refer(reference) = @references << reference
        def unique(uniqueness) = @uniques << uniqueness
        def check(check) = @checks << check
        def say(sentence) = @why << sentence

        # @return [Table] with the key in front
        def finished
          Table.new(thread:, name:, columns: @columns.partition(&:key).flatten(1), references: @references.uniq(&:thread), uniques: @uniques, checks: @checks, why: @why.uniq)
        end

        private

        def free(name)
          taken = @columns.map { |column| column.name.downcase }
          return name unless taken.include?(name.downcase)

          (2..).lazy.map { |number| "#{name}_#{number}" }.find { |candidate| !taken.include?(candidate.downcase) }
        end
      end
    end
  end
end
