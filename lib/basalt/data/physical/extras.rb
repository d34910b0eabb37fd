# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a statement says that the model does not hold, in words, so that nothing is left out silently (PostgreSQL 15, CREATE TABLE and
      # CREATE INDEX).
      module Extras
        # Constraints of which the model holds whether they are deferred.
        DEFERRED = %i[CONSTR_FOREIGN CONSTR_UNIQUE].freeze

        module_function

        # @return [Array<String>]
        def of_table(made)
          [
            ("being unlogged" if made.relation.relpersistence == "u"), ("being temporary" if made.relation.relpersistence == "t"),
            ("its storage options" if made.options.any?), ("its tablespace" unless made.tablespacename.empty?),
            ("its type" if made.of_typename), ("its access method" unless made.access_method.empty?)
          ].compact
        end

        def of_column(made)
          identity = made.constraints.map(&:constraint).find { |one| one.contype == :CONSTR_IDENTITY }
          [
            ("its collation" if made.coll_clause), ("its compression" unless made.compression.empty?),
            ("BY DEFAULT" if identity&.generated_when == "d"), ("the options of its sequence" if identity&.options&.any?),
            ("its own sequence" if made.type_name.names.any? && TypeName::SERIAL.key?(made.type_name.names.last.string.sval))
          ].compact
        end

        def of_constraint(one)
          deferred = one.deferrable || one.initdeferred
          [
            ("the columns that deleting sets" if one.fk_del_set_cols.any?), ("MATCH PARTIAL" if one.fk_matchtype == "p"),
            ("being deferred" if deferred && !DEFERRED.include?(one.contype)), ("NOT VALID" if one.skip_validation),
            ("NULLS NOT DISTINCT" if one.nulls_not_distinct), ("INCLUDE" if one.including.any?), ("NO INHERIT" if one.is_no_inherit),
            ("its storage options" if one.options.any? && one.contype != :CONSTR_IDENTITY), ("its tablespace" unless one.indexspace.empty?),
            ("the index that it uses" unless one.indexname.empty?)
          ].compact
        end

        def of_index(made)
          parts = made.index_params.map(&:index_elem)
          [
            ("being an index and no constraint" if made.unique), ("INCLUDE" if made.index_including_params.any?),
            ("its order" if parts.any? { |one| descending?(one) }), ("its collation" if parts.any? { |one| one.collation.any? }),
            ("its operator class" if parts.any? { |one| one.opclass.any? }), ("NULLS NOT DISTINCT" if made.nulls_not_distinct),
            ("its storage options" if made.options.any?), ("its tablespace" unless made.table_space.empty?)
          ].compact
        end

        def descending?(part) =
          !%i[SORTBY_DEFAULT SORTBY_ASC].include?(part.ordering) || part.nulls_ordering != :SORTBY_NULLS_DEFAULT
      end
    end
  end
end
