# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A table being put together.
      class TableDraft
        def initialize(thread, name)
          @thread = thread
          @name = name
          @columns = {}
          @names = Set.new
          @references = []
          @uniques = []
          @minimums = []
          @arcs = Hash.new { |arcs, thread| arcs[thread] = [] }
          @checks = []
          @why = []
        end

        attr_reader :thread, :name

        # @return [Column] under a name that no other column has
        def add(column)
          @columns[column.thread] ||= column.with(name: free(column.name)).tap { |one| @names << one.name.downcase }
        end

        def key = @columns.each_value.select(&:key)
        def refer(reference) = @references << reference
        def unique(uniqueness) = @uniques << uniqueness
        def minimum(minimum) = @minimums << minimum
        def check(check) = @checks << check

        # Of the columns that share a thread just one holds something, or one at most.
        #
        # @param must [Boolean] whether there is always one
        def arc(thread, column, must:) = @arcs[thread] << [column.name, must]

        def say(sentence) = @why << sentence

        # @return [Table] with the key in front
        def finished
          Table.new(thread:, name:, columns: @columns.values.partition(&:key).flatten(1), references: @references.uniq(&:thread),
                    uniques: @uniques, minimums: @minimums, checks: @checks + exclusions, why: @why.uniq)
        end

        private

        def exclusions
          @arcs.reject { |_, columns| columns.one? }.map do |thread, columns|
            names = columns.map { |name, _| SQLName.quote(name) }.join(", ")
            Check.new(thread: "#{thread}/arc", expression: "num_nonnulls(#{names}) #{columns.first.last ? '=' : '<='} 1")
          end
        end

        def free(name)
          return name unless @names.include?(name.downcase)

          (2..).lazy.map { |number| "#{name}_#{number}" }.find { |candidate| !@names.include?(candidate.downcase) }
        end
      end
    end
  end
end
