# frozen_string_literal: true

module Basalt
  module Model
    # One table of the model, and all that anybody has to know of it: drafts, working sets, the journal, project
    # documents and the database follow this description.
    #
    # +indexes+ are functions from a row to the key under which it is found, to an array of several, or to nil; +keeper+ is the class of
    # the table in memory. +columns+ are its
    # members beside the id, in the order in which they are kept. +merged+ are those that hold facts by name, which are compared
    # and written one by one; +nested+ gives for a member that is a list the class of its values, which a row owns. +together+ are
    # members of which each is compared when one is altered, +unchecked+ those that no one is refused for. +derived+ are functions
    # for columns that only the database has. +conflict+ tells, of a row, that somebody else altered it.
    RowType =
      Value.of(:table, :row, :indexes, :keeper, :columns, :merged, :nested, :together, :unchecked, :derived, :conflict) do
        def initialize(merged: [], nested: {}, together: [], unchecked: [], derived: {}, **rest)
          super(columns: rest[:row].members - [:id], merged:, nested:, together:, unchecked:, derived:, **rest)
        end

        # @return [Table] an empty one
        def empty = (keeper || Table).new(indexes)

        # @return [Array<Symbol>] members that are compared and written as a whole, each in a column
        def whole = columns - merged - nested.keys

        # @return [Hash{Symbol => Object}, nil] the row as plain values, without what is nil
        def dump(row)
          return unless row

          row.to_h.compact.tap do |hash|
            nested.each_key { |member| hash[member] = hash[member].map { |one| one.to_h.compact } if hash[member] }
          end
        end

        # @param hash [Hash{String, Symbol => Object}, nil] as {#dump} gave it, or JSON made of that
        # @return [Object, nil] the row
        def load(hash)
          return unless hash

          values = hash.transform_keys(&:to_sym)
          nested.each { |member, type| values[member] = values[member].map { |one| type.load(one) } if values[member] }
          row.new(**values)
        end

        # @return [Array<Symbol>] members that differ between two rows
        def altered(before, after) = columns.reject { |member| before.public_send(member) == after.public_send(member) }

        # Members that have to be as they were for a row to be altered.
        #
        # @param altered [Array<Symbol>]
        # @return [Array<Symbol>] of those that are compared as a whole
        def compared(altered)
          group = altered.intersect?(together) ? together : []
          ((altered & whole) | group) - unchecked
        end
      end
  end
end
