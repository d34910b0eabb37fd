# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A schema written in SQL, read with PostgreSQL's own parser: tables, columns, keys, checks,
      # indexes and comments. What is not modelled is kept as it stands and listed.
      class Schema
        LIMIT = 10_000_000
        # Marks of other servers' SQL, with what they are.
        FOREIGN = {
          /`\w+`/ => "names in backquotes",
          /\bAUTO_INCREMENT\b/i => "AUTO_INCREMENT",
          /\bENGINE\s*=/i => "ENGINE =",
          /\bIDENTITY\s*\(\d+\s*,\s*\d+\)/i => "IDENTITY(1,1)",
          /\bNVARCHAR2?\b|\bVARCHAR2\b/i => "VARCHAR2 or NVARCHAR",
          /^\s*GO\s*$/i => "GO",
          /\[\w+\]\.\[\w+\]/ => "names in brackets"
        }.freeze

        DELETING = { "c" => "cascade", "n" => "set null", "r" => "restrict" }.freeze

        # The script cannot be read; nothing of it is taken.
        class Unreadable < Basalt::Unreadable
        end

        # A statement that is kept and not modelled, with its line.
        Kept = Value.of(:line, :text) { def first_line = text.lines.first.strip }

        # @param sql [String]
        # @raise [Unreadable] with the place
        def initialize(sql)
          raise Unreadable, "the script is larger than #{LIMIT / 1_000_000} MB" if sql.bytesize > LIMIT

          @sql = Statements::Document.clean(sql)
          @statements = PostgresParser.parse(@sql).tree.stmts
        rescue PostgresParser::ParseError => e
          raise Unreadable, unreadable(e)
        end

        # @return [Boolean] whether there is no statement in it
        def empty? = @statements.empty?

        # Makes the tables in a draft.
        #
        # @param sheet_id [String, nil] where they are shown
        # @return [Array<Kept>] what is not modelled
        def into(draft, sheet_id: nil)
          @context = Statements::Context.new(draft, sheet_id:)
          @waiting = []
          kept = @statements.reject { |raw| take(raw.stmt) }.map { |raw| kept(raw) }
          @waiting.each(&:call)
          kept
        end

        private

        def unreadable(error)
          place = error.location.to_i
          before = @sql.byteslice(0, [place - 1, 0].max).to_s.scrub
          other = FOREIGN.find { |shape, _| @sql.match?(shape) }&.last
          "line #{before.count("\n") + 1}: #{error.message.sub(/ \(scan.*/, "")}" \
            "#{"; #{other} is of another server's SQL, and only PostgreSQL's is read here" if other}"
        end

        def kept(raw)
          text = @sql.byteslice(raw.stmt_location, raw.stmt_len.zero? ? @sql.bytesize : raw.stmt_len).scrub
          blank = text[/\A\s*/]
          Kept.new(line: @sql.byteslice(0, raw.stmt_location).count("\n") + blank.count("\n") + 1, text: text.strip)
        end

        # @return [Boolean] whether the statement is modelled whole
        def take(statement)
          case statement.node
          when :create_stmt
            create(statement.create_stmt)
          when :index_stmt
            index(statement.index_stmt)
          when :comment_stmt
            comment(statement.comment_stmt)
          when :view_stmt
            view(statement.view_stmt)
          when :alter_table_stmt
            alter(statement.alter_table_stmt)
          else
            false
          end
        end

        def create(made)
          unless made.inh_relations.empty? && made.partspec.nil? &&
                 made.table_elts.all? { |element| %i[column_def constraint].include?(element.node) }
            return false
          end

          refuse_second_schema(made.relation)
          table = table(made.relation.relname)
          made.table_elts.each do |element|
            element.node == :column_def ? column(table, element.column_def) : constraint(table, element.constraint)
          end
          @context.show(table)
          true
        end

        # Tables are known by their names alone: two of one name would become one.
        def refuse_second_schema(relation)
          schema = relation.schemaname.to_s
          known = (@schemas ||= {})[relation.relname] ||= schema
          return if known == schema

          raise Unreadable,
                "#{relation.relname} is made in two schemas (" \
                "#{[known, schema].map { |one| one.empty? ? "the usual one" : one }.join(" and ")}); read the schemas one by one"
        end

        def table(name) = known(name) || @context.add("table", name: Model::Names.clean(name))
        def known(name) = @context.draft.named(name).find { |element| element.kind == "table" }

        def column(table, made)
          column = @context.add("column", name: Model::Names.clean(made.colname), owner_id: table.id)
          type, identity = TypeName.of(made.type_name)
          set(column, "type", type)
          set(column, "generated", "identity") if identity
          set(column, "required", true) if identity
          made.constraints.each { |one| on_column(table, column, one.constraint) }
        end

        def set(element, fact, value) = @context.set(element.id, fact, value)

        def on_column(table, column, one)
          case one.contype
          when :CONSTR_NOTNULL
            set(column, "required", true)
          when :CONSTR_DEFAULT
            set(column, "default", expression(one.raw_expr))
          when :CONSTR_IDENTITY
            set(column, "generated", "identity")
          when :CONSTR_GENERATED
            set(column, "generated", expression(one.raw_expr))
          else
            constraint(table, one, [column.name])
          end
        end

        # @param names [Array<String>] of the columns where the constraint stands at one
        def constraint(table, one, names = nil)
          case one.contype
          when :CONSTR_PRIMARY
            key(table, names || strings(one.keys))
          when :CONSTR_UNIQUE
            Tabling.constrain(@context, table, "unique", names || strings(one.keys))
          when :CONSTR_CHECK
            Tabling.check(@context, table, expression(one.raw_expr))
          when :CONSTR_FOREIGN
            @waiting << -> { reference(table, one, names || strings(one.fk_attrs)) }
          end
        end

        def key(table, names)
          names.each do |name|
            column = Tabling.column!(@context.draft, table, name)
            set(column, "key", true)
            set(column, "required", true)
          end
        end

        def reference(table, one, names)
          target = known(one.pktable.relname) or
            raise Unreadable, "#{table.name} refers to #{one.pktable.relname}, which the script does not make"
          keys = strings(one.pk_attrs)
          made = Tabling.refer(@context, table, names, target, keys.empty? ? nil : keys)
          set(made, "deleting", DELETING[one.fk_del_action]) if DELETING[one.fk_del_action]
        end

        def index(made)
          unless made.where_clause.nil? && made.index_params.all? { |one| one.index_elem.name != "" } &&
                 %w[btree].include?(made.access_method) && (table = known(made.relation.relname))
            return false
          end

          Tabling.constrain(@context, table, made.unique ? "unique" : "index", made.index_params.map { |one| one.index_elem.name })
          true
        end

        def comment(made)
          names = strings(made.object.list&.items || [])
          element =
            case made.objtype
            when :OBJECT_TABLE
              known(names.last)
            when :OBJECT_VIEW
              @context.draft.named(names.last).find { |one| one.kind == "view" }
            when :OBJECT_COLUMN
              known(names[-2])&.then { |table| Tabling.column(@context.draft, table.id, names.last) }
            end
          return false unless element

          set(element, "meaning", made.comment)
          true
        end

        # Only what adds a constraint to a table.
        def alter(made)
          table = known(made.relation.relname)
          commands = made.cmds.map(&:alter_table_cmd)
          return false unless table && commands.all? { |one| one.subtype == :AT_AddConstraint }

          commands.each { |one| constraint(table, one.def.constraint) }
          true
        end

        # A plain one; what is said of its columns, its checks or its lasting is kept as it stands.
        def view(made)
          if made.replace || made.aliases.any? || made.options.any? || made.with_check_option != :NO_CHECK_OPTION ||
             made.view.relpersistence != "p"
            return false
          end

          name = Model::Names.clean(made.view.relname)
          view = @context.draft.named(name).find { |element| element.kind == "view" } || @context.add("view", name:)
          set(view, "query", PostgresParser.deparse_stmt(made.query.select_stmt))
          @context.show(view)
          true
        end

        def strings(nodes) = nodes.map { |node| node.string.sval }
        def expression(node) = PostgresParser.deparse_expr(node)
      end
    end
  end
end
