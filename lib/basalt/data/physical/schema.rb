# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A schema written in SQL, as psql and pg_dump have it, read with PostgreSQL's own parser, as it stands at the end of the script. What
      # is not modelled is kept as SQL; no single statement keeps the others from being taken, and what is left out is told with its line.
      class Schema
        # Bytes, with the data that a script brings, and without.
        LIMIT = 50_000_000
        MOST = 10_000_000
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

        # The script cannot be read; nothing of it is taken.
        class Unreadable < Basalt::Unreadable
        end

        # A statement with what the parser made of it; nil where it could not be read, for the reason that +error+ tells.
        Read = Value.of(:piece, :node, :error)
        BINARY = "PGDMP"
        # What is counted, and need not be understood.
        DATA = /\AINSERT\s+INTO\b/i
        # Unicode Standard Annex 15: names are compared, and kept, in form C.
        COMPOSED = "how letters with marks are put together (each is one character now)"
        # Who takes which statement.
        TAKERS = {
          create_stmt: MakingTables, index_stmt: MakingIndexes, view_stmt: MakingViews, create_table_as_stmt: MakingViews,
          alter_table_stmt: Altering, rename_stmt: Renaming, alter_object_schema_stmt: Renaming, drop_stmt: Dropping,
          comment_stmt: Commenting, create_seq_stmt: MakingSequences, alter_seq_stmt: MakingSequences
        }.freeze

        MODELLED = %i[create_stmt index_stmt view_stmt create_table_as_stmt alter_table_stmt].freeze
        private_constant :MODELLED

        # @param sql [String]
        # @raise [Unreadable] with the place, where nothing of it can be read
        def initialize(sql)
          raise Unreadable, "the script is larger than #{LIMIT / 1_000_000} MB" if sql.bytesize > LIMIT
          raise Unreadable, "this is a dump in pg_dump's own format: pg_restore -f - writes it as a script" if sql.b.start_with?(BINARY)

          clean = Statements::Document.clean(sql, limit: LIMIT)
          @in_parts = !clean.ascii_only? && !clean.unicode_normalized?
          @text = SQLText.new(clean)
          data, pieces = @text.pieces.partition { |piece| piece.text.match?(DATA) }
          refuse_length(pieces)
          @inserted = data.length
          @reads = pieces.map { |piece| read(piece) }
          refuse(@reads.first) if @reads.any? && @reads.all?(&:error)
          foreign = @reads.find { |one| one.error && dialect(one.piece.text) }
          refuse(foreign) if foreign
        end

        # @return [Boolean] whether there is no statement in it
        def empty? = @reads.empty? && @inserted.zero?

        # What a script holds beside the schema, in words: rows of data, who owns what, settings.
        #
        # @return [Array<String>]
        def left_out
          found = @left.map { |words, count| English.count(count, *words) }
          found << English.count(@text.rows, "row of data", "rows of data") if @text.rows.positive?
          found << COMPOSED if @in_parts
          found
        end

        # Makes the tables in a draft.
        #
        # @param sheet_id [String, nil] where they are shown
        # @return [Array<Reading::Told>] what is kept as SQL, and what is left out
        def into(draft, sheet_id: nil)
          @reading = Reading.new(draft, sheet_id:)
          @left = Hash.new(0)
          @left[Housekeeping::DATA] += @inserted if @inserted.positive?
          @reads.each { |one| take_in(one) }
          @reading.waiting.each { |piece, work| @reading.attempt(piece, &work) }
          @reading.sequences.settle(@reading)
          @reading.told.sort_by.with_index { |one, index| [one.line, index] }
        end

        private

        def refuse_length(pieces)
          length = pieces.sum { |one| one.text.bytesize }
          raise Unreadable, "the script has more than #{MOST / 1_000_000} MB beside its data" if length > MOST
        end

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

        def take_in(read)
          return @reading.tell(why(read), read.piece) if read.error

          @reading.path = Housekeeping.path(read.node) if Housekeeping.path?(read.node)
          words = Housekeeping.words(read.node) and return @left[words] += 1
          @reading.attempt(read.piece) { take(qualified(read.node)) }
        end

        def qualified(node)
          Qualifying.into(@reading, node) if @reading.elsewhere? && MODELLED.include?(node.node)
          node
        end

        # What nobody takes is kept as it is.
        def take(node) = TAKERS[node.node]&.new(@reading)&.take(node.inner) || Keeping.new(@reading).take(node)
      end
    end
  end
end
