# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Where a script says in which schemas its names are looked for, they are told with their schema.
      module Qualifying
        module_function

        # @param reading [Reading]
        # @param node [PgQuery::Node] a statement, which is altered
        def into(reading, node)
          tree = PostgresParser::ParserResult.new("", PostgresParser::ParseResult.new(stmts: [PostgresParser::RawStmt.new(stmt: node)]))
          tree.walk! do |one|
            case one
            when PgQuery::RangeVar then relation(reading, one)
            when PgQuery::TypeName then names(reading, one.names)
            when PgQuery::FuncCall then names(reading, one.funcname, "(")
            end
          end
        end

        def relation(reading, one)
          return unless one.schemaname.empty?

          schema = reading.schema_of(one.relname)
          one.schemaname = schema if schema
        end

        def names(reading, nodes, rest = "")
          return unless nodes.length == 1

          schema = reading.schema_of(nodes.first.string.sval, rest)
          nodes.replace([PgQuery::Node.from_string(schema), nodes.first]) if schema
        end
      end
    end
  end
end
