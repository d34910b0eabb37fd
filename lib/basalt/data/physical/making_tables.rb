# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What CREATE TABLE makes.
      class MakingTables
        # Elements of a table that are modelled.
        PARTS = %i[column_def constraint].freeze

        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::CreateStmt]
        # @return [Boolean] whether it is modelled
        def take(made)
          return true if made.if_not_exists && @reading.thing(made.relation)
          return false if made.of_typename || made.table_elts.any? { |element| !PARTS.include?(element.node) }

          columns, constraints = made.table_elts.partition { |element| element.node == :column_def }
          table = table(made)
          columns.each { |one| partition?(made) ? override(table, one.column_def) : Columns.new(@reading, table).take(one.column_def) }
          constraints.each { |one| constrain(table, one.constraint) }
          @reading.context.show(table)
          true
        end

        private

        def partition?(made) = !made.partbound.nil?

        def table(made)
          @reading.lost(Extras.of_table(made))
          name = @reading.fresh(made.relation.schemaname, made.relation.relname)
          raise Mistake, "#{name} is there already" if @reading.draft.named(name).any? { |one| %w[table view].include?(one.kind) }

          table = @reading.context.add("table", name:)
          { "unlogged" => made.relation.relpersistence == "u" || nil, "stored" => Spelled.storage(made),
            "partitioned" => made.partspec && Spelled.partitioning(made) }.each { |fact, value| @reading.set(table, fact, value) if value }
          bounds = Spelled.bounds(made.partbound) if partition?(made)
          made.inh_relations.each { |one| Sentences.inherit(@reading.context, table, @reading.table!(one.range_var), bounds) }
          table
        end

        # A table that is only just made has no rows that could break it.
        def constrain(table, one)
          one.skip_validation = false
          Constraints.new(@reading, table).take(one)
        end

        # What a partition says of a column that it has from what it is a part of.
        def override(table, column)
          column.constraints.map(&:constraint).each do |one|
            case one.contype
            when :CONSTR_DEFAULT then add(table, column, "SET DEFAULT #{PostgresParser.deparse_expr(one.raw_expr)}")
            when :CONSTR_NOTNULL then add(table, column, "SET NOT NULL")
            else Constraints.new(@reading, table).take(one, [column.colname])
            end
          end
        end

        def add(table, column, words) =
          @reading.add(table, "ALTER TABLE ONLY #{SQLName.qualified(table.name)} ALTER COLUMN #{SQLName.quote(column.colname)} #{words}")
      end
    end
  end
end
