# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A schema written in SQL, as psql and pg_dump have it, read with PostgreSQL's own parser: tables, columns, keys, checks, indexes,
      # views and comments, as they stand at the end of the script. What is not modelled, or not as a whole, is told with its line and the
      # reason; no single statement keeps the others from being taken.
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

        ACTIONS = { "c" => "cascade", "n" => "set null", "d" => "set default", "r" => "restrict" }.freeze

        # The script cannot be read; nothing of it is taken.
        class Unreadable < Basalt::Unreadable
        end

        # A statement that is not modelled, or not as a whole: its line, and why where there is a reason beside that.
        Kept = Value.of(:line, :text, :reason) do
          # @return [String] its first line, and the reason
          def told = [text.lines.first.strip, reason].compact.join(": ")
        end
        # A statement with what the parser made of it; nil where it could not be read, for the reason that +error+ tells.
        Read = Value.of(:piece, :node, :error)
        BINARY = "PGDMP"

        # @param sql [String]
        # @raise [Unreadable] with the place, where nothing of it can be read
        def initialize(sql)
          raise Unreadable, "the script is larger than #{LIMIT / 1_000_000} MB" if sql.bytesize > LIMIT
          raise Unreadable, "this is a dump in pg_dump's own format: pg_restore -f - writes it as a script" if sql.b.start_with?(BINARY)

          @text = SQLText.new(Statements::Document.clean(sql))
          @reads = @text.pieces.map { |piece| read(piece) }
          refuse(@reads.first) if @reads.any? && @reads.all?(&:error)
          foreign = @reads.find { |one| one.error && dialect(one.piece.text) }
          refuse(foreign) if foreign
        end

        # @return [Boolean] whether there is no statement in it
        def empty? = @reads.empty?

        # What a script holds beside the schema, in words: rows of data, who owns what, settings.
        #
        # @return [Array<String>]
        def left_out
          found = @left.map { |words, count| English.count(count, *words) }
          found << English.count(@text.rows, "row of data", "rows of data") if @text.rows.positive?
          found
        end

        # Makes the tables in a draft.
        #
        # @param sheet_id [String, nil] where they are shown
        # @return [Array<Kept>] what is not modelled
        def into(draft, sheet_id: nil)
          @context = Statements::Context.new(draft, sheet_id:)
          @waiting = []
          @kept = []
          @left = Hash.new(0)
          @sequences = Sequences.new
          @reads.each { |one| take_in(one) }
          @waiting.each { |piece, work| attempt(piece, &work) }
          @sequences.settle(@context.draft) { |column| numbered(column, Numbering::SERIAL) }.each { |piece| keep(nil, piece) }
          @kept.sort_by.with_index { |one, index| [one.line, index] }
        end

        private

        def read(piece)
          tree = PostgresParser.parse(piece.text).tree
          Read.new(piece:, node: tree.stmts.first&.stmt)
        rescue PostgresParser::ParseError => e
          Read.new(piece:, error: e)
        end

        def refuse(read) = raise(Unreadable, "line #{unread_line(read)}: #{why(read)}")
        def dialect(text) = FOREIGN.find { |shape, _| text.match?(shape) }&.last

        def why(read)
          other = dialect(read.piece.text)
          about = "; #{other} is of another server's SQL, and only PostgreSQL's is read here" if other
          "#{read.error.message.sub(/ \(scan.*/, "")}#{about}"
        end

        def unread_line(read)
          before = read.piece.text.byteslice(0, [read.error.location.to_i - 1, 0].max).to_s.scrub
          read.piece.line + before.count("\n")
        end

        def keep(reason = nil, piece = @piece) = @kept << Kept.new(line: piece.line, text: piece.text, reason:)

        def take_in(read)
          @piece = read.piece
          return keep(why(read)) if read.error

          words = Housekeeping.words(read.node) and return @left[words] += 1
          attempt(read.piece) { take(read.node) || keep }
        end

        # What cannot be taken leaves nothing behind, and the rest is taken all the same.
        def attempt(piece)
          @piece = piece
          outer = @context
          trial = Change::Draft.new(outer.draft)
          @context = Statements::Context.new(trial, sheet_id: outer.sheet_id)
          yield
          outer.draft.merge(trial)
        rescue Mistake => e
          keep(e.message, piece)
        ensure
          @context = outer
        end

        # @return [Boolean] whether the statement is modelled, as far as is not told otherwise
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
          when :create_seq_stmt
            @sequences.take(statement.create_seq_stmt, @piece)
            true
          when :alter_seq_stmt
            @sequences.alter(statement.alter_seq_stmt)
          when :rename_stmt
            rename(statement.rename_stmt)
          when :drop_stmt
            drop(statement.drop_stmt)
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
          lost(Extras.of_table(made))
          table = table(made.relation.relname)
          made.table_elts.each do |element|
            # A table that is only just made has no rows that could break it.
            element.constraint.skip_validation = false if element.node == :constraint
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

          names = [known, schema].map { |one| one.empty? ? "the usual one" : one }
          raise Mistake, "#{relation.relname} is made in two schemas (#{names.join(" and ")}); read the schemas one by one"
        end

        def table(name) = known(name) || @context.add("table", name: Model::Names.clean(name))
        def known(name) = @context.draft.named(name).find { |element| element.kind == "table" }

        def column(table, made)
          name = Model::Names.clean(made.colname)
          raise Mistake, "#{table.name} has a column #{name} already" if Tabling.column(@context.draft, table.id, name)

          lost(Extras.of_column(made, table.name), "#{table.name}.#{name}")
          column = @context.add("column", name:, owner_id: table.id)
          type, serial = TypeName.of(made.type_name)
          set(column, "type", type)
          numbered(column, Numbering::SERIAL) if serial
          attributed(made.constraints.map(&:constraint)).each { |one| on_column(table, column, one) }
        end

        # What is said of a constraint at a column stands behind it as others of their own.
        def attributed(constraints)
          constraints.each_with_object([]) do |one, found|
            case one.contype
            when :CONSTR_ATTR_DEFERRABLE then found.last.deferrable = true
            when :CONSTR_ATTR_DEFERRED then found.last.deferrable = found.last.initdeferred = true
            when :CONSTR_ATTR_NOT_DEFERRABLE, :CONSTR_ATTR_IMMEDIATE, :CONSTR_NULL then next
            else found << one
            end
          end
        end

        def set(element, fact, value) = @context.set(element.id, fact, value)

        def on_column(table, column, one)
          case one.contype
          when :CONSTR_NOTNULL
            set(column, "required", true)
          when :CONSTR_DEFAULT
            set(column, "default", expression(one.raw_expr))
          when :CONSTR_IDENTITY
            numbered(column, Numbering.word(one))
          when :CONSTR_GENERATED
            text = expression(one.raw_expr)
            set(column, "generated", Numbering::WORDS.include?(text) ? "(#{text})" : text)
          else
            constraint(table, one, [column.name])
          end
        end

        def numbered(column, word)
          set(column, "generated", word)
          set(column, "required", true)
          set(column, "default", nil)
        end

        # What is modelled without something that it says is told so.
        def lost(words, what = nil) = words.any? && keep("#{"#{what} " if what}without #{English.list(words)}")

        # @param names [Array<String>] of the columns where the constraint stands at one
        def constraint(table, one, names = nil)
          lost(Extras.of_constraint(one))
          case one.contype
          when :CONSTR_PRIMARY
            key(table, names || strings(one.keys))
            set(table, "key_called", UsualName.said(one.conname, "key", table.name, []))
          when :CONSTR_UNIQUE
            unique(table, one, names || strings(one.keys))
          when :CONSTR_EXCLUSION
            exclusion(table, one)
          when :CONSTR_CHECK
            made = Tabling.check(@context, table, expression(one.raw_expr))
            { "called" => said(one.conname), "inheritance" => ("no inherit" if one.is_no_inherit), "validity" => validity(one) }
              .each { |fact, value| set(made, fact, value) if value }
          when :CONSTR_FOREIGN
            refer(table, one, names || strings(one.fk_attrs))
          else keep("this constraint is not modelled")
          end
        end

        def unique(table, one, names)
          one.keys.replace(names.map { |name| PgQuery::Node.from_string(name) }) if one.keys.empty?
          text = AsWritten.of_constraint("unique", one)
          made = constrain(table, "unique", names, text) or return
          set(made, "called", text ? said(one.conname) : UsualName.said(one.conname, "unique", table.name, names))
          set(made, "deferred", deferring(one))
        end

        # Two that say the same are one in the model; the second is told.
        #
        # @return [Model::Element, nil]
        def constrain(table, type, names, text)
          once(table, Tabling.constraints(@context.draft, table.id)) { Tabling.constrain(@context, table, type, names, text) }
        end

        def once(table, before)
          made = yield
          return made if before.none? { |one| one.id == made.id }

          keep("#{table.name} has one that says the same already")
          nil
        end

        def exclusion(table, one)
          text = AsWritten.of_constraint("exclusion", one)
          made = constrain(table, "exclusion", AsWritten.columns("exclusion", text), text) or return
          set(made, "called", said(one.conname))
          set(made, "deferred", deferring(one))
        end

        def validity(one) = one.skip_validation ? "not valid" : nil
        def said(name) = name.empty? ? nil : name
        def deferring(one) = one.initdeferred ? "initially deferred" : ("deferrable" if one.deferrable)

        # At once where all that it speaks of is there, since that may be called otherwise later; else at the end of the script.
        def refer(table, one, names)
          return reference(table, one, names) if referable?(table, one, names)

          @waiting << [@piece, -> { reference(@context.draft.element(table.id) || gone(table), one, names) }]
        end

        def referable?(table, one, names)
          target = known(one.pktable.relname) or return false
          keys = strings(one.pk_attrs)
          there = keys.empty? ? Tabling.columns(@context.draft, target.id).any? { |column| column["key"] } : columns?(target, keys)
          there && columns?(table, names)
        end

        def columns?(table, names) = names.all? { |name| Tabling.column(@context.draft, table.id, name) }

        def gone(table) = raise(Mistake, "#{table.name} was dropped")

        def key(table, names)
          Tabling.key(@context, table, names)
          names.each { |name| set(Tabling.column!(@context.draft, table, name), "required", true) }
        end

        def reference(table, one, names)
          target = known(one.pktable.relname) or
            raise Mistake, "#{table.name} refers to #{one.pktable.relname}, which the script does not make"
          keys = strings(one.pk_attrs)
          before = Tabling.references(@context.draft, table.id)
          made = once(table, before) { Tabling.refer(@context, table, names, target, keys.empty? ? nil : keys) } or return
          { "deleting" => ACTIONS[one.fk_del_action], "updating" => ACTIONS[one.fk_upd_action], "full" => one.fk_matchtype == "f",
            "deferred" => deferring(one), "validity" => validity(one) }.each { |fact, value| set(made, fact, value) if value }
          set(made, "called", UsualName.said(one.conname, "reference", table.name, names))
        end

        def index(made)
          table = known(made.relation.relname) or return false
          lost(Extras.of_index(made))
          text = AsWritten.of_index(made)
          type = made.unique ? "unique index" : "index"
          names = text ? AsWritten.columns(type, text) : made.index_params.map { |one| one.index_elem.name }
          index = constrain(table, type, names, text) or return true
          set(index, "called", text ? said(made.idxname) : UsualName.said(made.idxname, "index", table.name, names))
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

        # What a table becomes; what is not modelled of it is told, and the rest is taken.
        def alter(made)
          table = made.objtype == :OBJECT_TABLE && known(made.relation.relname) or return false
          made.cmds.map(&:alter_table_cmd).each { |one| Altering.new(self, @context, table).take(one) || keep }
          true
        end

        public

        # For {Altering}: the same that a statement which makes a table does.
        def make_column(table, made) = column(table, made)
        def make_constraint(table, made) = constraint(table, made)

        def make_identity(table, column, made)
          lost(Extras.of_identity(made, table.name, column.name), "#{table.name}.#{column.name}")
          numbered(column, Numbering.word(made))
        end

        private

        # A table or a column is called otherwise.
        def rename(made)
          table = known(made.relation&.relname.to_s) or return false
          FirstNames.keep(@context.draft, table)
          case made.rename_type
          when :OBJECT_TABLE then set(table, "name", made.newname)
          when :OBJECT_COLUMN
            set(Tabling.column!(@context.draft, table, made.subname), "name", made.newname)
            Respelling.follow(@context.draft, table.id, { made.subname => made.newname })
          else return false
          end
          true
        end

        # Tables that the script takes away again.
        def drop(made)
          names = made.remove_type == :OBJECT_TABLE ? made.objects.map { |one| strings(one.list.items).last } : []
          tables = names.filter_map { |name| known(name) }
          return false if tables.length < names.length && !made.missing_ok

          tables.each { |table| @context.draft.apply(Change::Remove.new(id: table.id)) }
          names.any?
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
