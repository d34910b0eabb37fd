# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a statement says that the model does not hold, in words, so that nothing is left out silently (PostgreSQL 15, CREATE TABLE and
      # CREATE INDEX).
      module Extras
        # Constraints of which the model holds whether they are deferred.
        DEFERRED = %i[CONSTR_FOREIGN CONSTR_UNIQUE CONSTR_EXCLUSION].freeze
        # Those that are told as they are written where more is said of them.
        WRITTEN = %i[CONSTR_UNIQUE CONSTR_EXCLUSION].freeze

        module_function

        # @return [Array<String>]
        def of_table(made)
          [
            ("being unlogged" if made.relation.relpersistence == "u"), ("being temporary" if made.relation.relpersistence == "t"),
            ("its storage options" if made.options.any?), ("its tablespace" unless made.tablespacename.empty?),
            ("its type" if made.of_typename), ("its access method" unless made.access_method.empty?)
          ].compact
        end

        # @param table [String] its name
        def of_column(made, table)
          identity = made.constraints.map(&:constraint).find { |one| one.contype == :CONSTR_IDENTITY }
          [
            ("its collation" if made.coll_clause), ("its compression" unless made.compression.empty?),
            *(identity ? of_identity(identity, table, made.colname) : [])
          ].compact
        end

        def of_identity(identity, table, column)
          Numbering.usual?(identity.options, Numbering.usual_name(table, column)) ? [] : ["the options of its sequence"]
        end

        def of_constraint(one)
          deferred = one.deferrable || one.initdeferred
          [
            ("the columns that deleting sets" if one.fk_del_set_cols.any?), ("MATCH PARTIAL" if one.fk_matchtype == "p"),
            ("being deferred" if deferred && !DEFERRED.include?(one.contype)),
            ("INCLUDE" if one.including.any? && !WRITTEN.include?(one.contype)),
            ("its storage options" if one.options.any? && ![*WRITTEN, :CONSTR_IDENTITY].include?(one.contype)),
            ("its tablespace" unless one.indexspace.empty?), ("the index that it uses" unless one.indexname.empty?)
          ].compact
        end

        def of_index(made)
          [("its tablespace" unless made.table_space.empty?), ("ONLY" unless made.relation.inh)].compact
        end
      end
    end
  end
end
