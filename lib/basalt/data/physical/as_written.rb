# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Constraints and indexes of which names of columns do not tell all, as the rest of the statement that makes them (PostgreSQL 15,
      # CREATE INDEX and ALTER TABLE ADD table_constraint): method, expressions, order, collation, operators, INCLUDE, NULLS NOT DISTINCT,
      # storage options and WHERE, as the server's own deparser writes them.
      module AsWritten
        # By the type of the constraint, what stands before.
        BEGINNINGS = {
          "index" => "CREATE INDEX ON t ", "unique index" => "CREATE INDEX ON t ", "unique" => "ALTER TABLE t ADD UNIQUE ",
          "exclusion" => "ALTER TABLE t ADD EXCLUDE "
        }.freeze

        module_function

        # @param made [PgQuery::IndexStmt]
        # @return [String, nil] nil where the names of its columns tell all
        def of_index(made)
          return if plain?(made)

          bare = made.dup
          bare.relation = PgQuery::RangeVar.new(relname: "t", inh: true, relpersistence: "p")
          { idxname: "", table_space: "", unique: false, concurrent: false, if_not_exists: false }.each do |field, value|
            bare[field.to_s] = value
          end
          PostgresParser.deparse_stmt(bare).delete_prefix(BEGINNINGS["index"])
        end

        # @param made [PgQuery::Constraint] one of uniqueness or exclusion
        # @return [String, nil] nil where the names of its columns tell all
        def of_constraint(type, made)
          return if type == "unique" && !made.nulls_not_distinct && made.including.empty? && made.options.empty?

          bare = made.dup
          { conname: "", indexspace: "", deferrable: false, initdeferred: false }.each { |field, value| bare[field.to_s] = value }
          statement = PostgresParser.parse("ALTER TABLE t ADD CHECK (true)").tree.stmts.first.stmt.alter_table_stmt
          statement.cmds.first.alter_table_cmd.def.constraint = bare
          PostgresParser.deparse_stmt(statement).delete_prefix(BEGINNINGS[type])
        end

        # @param text [String] as a person wrote it
        # @return [String] as the deparser writes it
        # @raise [Mistake] where it is not the rest of one such statement
        def clean(type, text)
          made = read(type, text)
          (made.is_a?(PgQuery::IndexStmt) ? of_index(made) : of_constraint(type, made)) ||
            "(#{columns(type, text).map { |name| SQLName.quote(name) }.join(", ")})"
        end

        # @return [Array<String>] the columns that it speaks of, those that are indexed themselves first
        def columns(type, text)
          made = read(type, text)
          return made.keys.map { |one| one.string.sval } if type == "unique"

          plain = made.is_a?(PgQuery::IndexStmt) ? made.index_params.map { |one| one.index_elem.name }.reject(&:empty?) : []
          (plain + Respelling.columns("#{BEGINNINGS[type]}#{text}")).uniq
        end

        # @return [Array<String>] what an index or a constraint is called by (ChooseIndexColumnNames)
        def titles(type, text)
          made = read(type, text)
          names =
            case made
            when PgQuery::IndexStmt then [*made.index_params, *made.index_including_params].map { |one| title(one.index_elem) }
            else
              excluded = made.exclusions.map { |one| title(one.list.items.first.index_elem) }
              [*made.keys, *made.including].map { |one| one.string.sval }.then { |plain| excluded + plain }
            end
          names.each_with_index.map { |name, index| names.first(index).count(name).then { |count| count.zero? ? name : "#{name}#{count}" } }
        end

        def title(part) = part.name.empty? ? figured(part.expr) || "expr" : part.name

        # @return [String, nil] the name of an expression (FigureColname)
        def figured(node)
          case node&.node
          when :column_ref then node.column_ref.fields.last.string&.sval
          when :func_call then node.func_call.funcname.last.string.sval
          when :type_cast then figured(node.type_cast.arg) || node.type_cast.type_name.names.last.string.sval
          when :collate_clause then figured(node.collate_clause.arg)
          when :coalesce_expr then "coalesce"
          when :case_expr then figured(node.case_expr.defresult) || "case"
          end
        end

        # @return [Boolean] whether an index that is unique makes its columns unique in all rows
        def whole?(text)
          made = read("unique index", text)
          made.where_clause.nil? && made.index_params.none? { |one| one.index_elem.name.empty? } && made.index_including_params.empty?
        rescue Mistake
          false
        end

        # @return [PgQuery::IndexStmt, PgQuery::Constraint]
        def read(type, text)
          statements = PostgresParser.parse("#{BEGINNINGS.fetch(type)}#{text}").tree.stmts
          made = statements.one? ? made(statements.first.stmt) : nil
          made or raise Mistake, "“#{text}” is more than the rest of one #{BEGINNINGS[type].sub(/ (ON )?t /, " ").strip}"
        rescue PostgresParser::ParseError => e
          raise Mistake, "“#{text}” does not go on #{BEGINNINGS[type].strip}: #{e.message.sub(/ \(scan.*/, "")}"
        end

        def made(statement)
          return statement.index_stmt if statement.node == :index_stmt

          commands = statement.node == :alter_table_stmt ? statement.alter_table_stmt.cmds : []
          commands.first.alter_table_cmd.def.constraint if commands.one?
        end

        def plain?(made)
          made.access_method == "btree" && made.where_clause.nil? && made.index_including_params.empty? && made.options.empty? &&
            !made.nulls_not_distinct && made.index_params.all? { |one| plain_part?(one.index_elem) }
        end

        def plain_part?(part)
          !part.name.empty? && part.collation.empty? && part.opclass.empty? && part.opclassopts.empty? &&
            part.ordering == :SORTBY_DEFAULT && part.nulls_ordering == :SORTBY_NULLS_DEFAULT
        end
      end
    end
  end
end
