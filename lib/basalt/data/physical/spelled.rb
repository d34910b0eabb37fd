# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Clauses of statements as the server's own deparser writes them.
      module Spelled
        # Expressions that stand without parentheses anywhere.
        SIMPLE = %i[a_const sqlvalue_function].freeze

        PLAIN = /\A'[^']*'::\w+\z|\A\w+\('?[^'()]*'?(?:::\w+)?\)\z/

        module_function

        # @param made [PgQuery::CreateStmt]
        # @return [String, nil] access method and storage options
        def storage(made)
          return if made.options.empty? && made.access_method.empty?

          bare = PostgresParser.parse("CREATE TABLE t ()").tree.stmts.first.stmt.create_stmt
          bare.options.replace(made.options.to_a)
          options = PostgresParser.deparse_stmt(bare).delete_prefix("CREATE TABLE t ()").strip
          [*("USING #{SQLName.quote(made.access_method)}" unless made.access_method.empty?), *(options unless options.empty?)].join(" ")
        end

        # @param made [PgQuery::CreateStmt]
        # @return [String] by what rows are told apart
        def partitioning(made)
          bare = PostgresParser.parse("CREATE TABLE t ()").tree.stmts.first.stmt.create_stmt
          bare.partspec = made.partspec
          PostgresParser.deparse_stmt(bare).delete_prefix("CREATE TABLE t () PARTITION BY ")
        end

        # @param spec [PgQuery::PartitionBoundSpec]
        # @return [String] which rows a partition holds
        def bounds(spec)
          statement = PostgresParser.parse("ALTER TABLE p ATTACH PARTITION c DEFAULT").tree.stmts.first.stmt.alter_table_stmt
          statement.cmds.first.alter_table_cmd.def.partition_cmd.bound = spec
          PostgresParser.deparse_stmt(statement).delete_prefix("ALTER TABLE p ATTACH PARTITION c ")
        end

        # @param made [PgQuery::ViewStmt, PgQuery::CreateTableAsStmt]
        # @return [String, nil] what stands between the name of a view and its query
        def heading(made)
          bare = made.dup
          if bare.is_a?(PgQuery::ViewStmt)
            { replace: false, with_check_option: :NO_CHECK_OPTION }.each { |field, value| bare[field.to_s] = value }
            relation = bare.view = bare.view.dup
          else
            bare.into = bare.into.dup
            { table_space_name: "", skip_data: false }.each { |field, value| bare.into[field.to_s] = value }
            relation = bare.into.rel = bare.into.rel.dup
          end
          relation.schemaname = ""
          relation.relname = "v"
          bare.query = PostgresParser.parse("SELECT 1").tree.stmts.first.stmt
          PostgresParser.deparse_stmt(bare)[/VIEW v\s*(.*?)\s*AS SELECT 1\s*\z/m, 1].then { |text| text unless text.empty? }
        end

        # @param name [String] of the table in the model
        # @return [String] the statement that adds the constraint
        def adding(name, constraint)
          statement = PostgresParser.parse("ALTER TABLE #{SQLName.qualified(name)} ADD CHECK (true)").tree.stmts.first.stmt.alter_table_stmt
          statement.cmds.first.alter_table_cmd.def.constraint = constraint
          PostgresParser.deparse_stmt(statement)
        end

        # @return [String] the statement with this one of its commands alone
        def altering(statement, command)
          bare = statement.dup
          bare.cmds.replace([command])
          PostgresParser.deparse_stmt(bare)
        end

        # @param constraint [PgQuery::Constraint] that makes a key
        # @return [String, nil] what stands behind its columns
        def key(constraint)
          return if constraint.including.empty? && constraint.options.empty? && !constraint.deferrable

          bare = constraint.dup
          { conname: "", indexspace: "", indexname: "" }.each { |field, value| bare[field.to_s] = value }
          bare.keys.replace([PgQuery::Node.from_string("k")])
          adding("t", bare)[/\AALTER TABLE t ADD PRIMARY KEY \(k\) (.+)\z/m, 1]
        end

        # @param node [PgQuery::Node]
        # @return [String] the expression, in parentheses where DEFAULT takes it in these alone
        def default(node)
          text = PostgresParser.deparse_expr(node)
          SIMPLE.include?(node.node) || text.match?(PLAIN) || alone?(text) ? text : "(#{text})"
        end

        def alone?(text)
          statement = PostgresParser.parse("CREATE TABLE t (c int DEFAULT #{text})").tree.stmts.first.stmt
          column = statement.create_stmt.table_elts.first.column_def
          column.coll_clause.nil? && column.constraints.one?
        rescue PostgresParser::ParseError
          false
        end

        # @param options [Array<PgQuery::Node>] of a sequence
        # @return [String]
        def sequence(options)
          statement = PostgresParser.parse("CREATE TABLE t (c int GENERATED ALWAYS AS IDENTITY (START 1))").tree.stmts.first.stmt
          statement.create_stmt.table_elts.first.column_def.constraints.first.constraint.options.replace(options.to_a)
          PostgresParser.deparse_stmt(statement.create_stmt)[/IDENTITY \((.*)\)\)\z/m, 1]
        end

        # @return [String] the expression with its collation
        def type(made, clause)
          type, serial = TypeName.of(made)
          return [type, serial] unless clause

          [%(#{type} COLLATE #{clause.collname.map { |one| SQLName.quote(one.string.sval) }.join(".")}), serial]
        end
      end
    end
  end
end
