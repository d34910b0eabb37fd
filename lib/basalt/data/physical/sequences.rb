# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The sequences that a script makes. One that is owned by the column that it numbers, and is as PostgreSQL makes it for a serial
      # column, is that column's numbering; pg_dump writes the two apart. Any other is kept.
      class Sequences
        Made = Struct.new(:piece, :name, :options, :owner, :altered, :unusual)

        def initialize
          @made = {}
        end

        # @param name [String] what it is called in the model
        # @return [Made, nil]
        def [](name) = @made[name]

        # @param made [PgQuery::CreateSeqStmt]
        # @param piece [SQLText::Piece] where it stands
        # @param name [String] what it is called in the model
        def take(made, piece, name)
          @made[name] = Made.new(piece, name, made.options.to_a, owner(made.options), [], made.sequence.relpersistence != "p")
        end

        # @param known [Made]
        # @param made [PgQuery::AlterSeqStmt]
        def alter(known, made, piece)
          known.altered << piece
          owned = made.options.map { |one| one.def_elem.defname } == ["owned_by"]
          owned ? known.owner = owner(made.options) : known.unusual = true
        end

        # What else is said of it is kept.
        def say(known, piece)
          known.altered << piece
          known.unusual = true
        end

        def drop(known) = @made.delete(known.name)

        # It keeps what is said under the name that it had, and is known by another from now on.
        def rename(known, name, piece)
          @made.delete(known.name)
          say(known, piece)
          @made[name] = known
        end

        # Columns are told that they are numbered by them; what is left is kept.
        #
        # @param reading [Reading]
        def settle(reading)
          @made.each_value do |made|
            column = column(reading.draft, made)
            next Columns.new(reading, nil).numbered(column, Numbering::SERIAL) if column

            reading.attempt(made.piece) { keep(reading, made) }
          end
        end

        private

        # @return [Model::Element, nil] the column that it numbers as the server would have it
        def column(draft, made)
          return unless made.owner

          table = draft.named(SQLName.of(SQLName.schema(made.name), made.owner.first), "table").first or return
          column = Tabling.column(draft, table.id, made.owner.last)
          column if column && column?(draft, column, made)
        end

        def keep(reading, made)
          object = reading.keep("sequence", made.name)
          reading.tell(nil, kept: true)
          made.altered.each { |piece| reading.attempt(piece) { reading.add(object) } }
        end

        def owner(options)
          said = options.map(&:def_elem).find { |one| one.defname == "owned_by" }
          said&.arg&.list&.items&.map { |one| one.string.sval }&.last(2)
        end

        def column?(draft, column, made)
          home, table = SQLName.parts(draft.element(column.owner_id).name)
          schema, name = SQLName.parts(made.name)
          return false if made.unusual || home != schema || !column["required"]

          made.owner == [table, column.name] && name == Numbering.usual_name(table, column.name) &&
            next_of?(column["default"].to_s, name) && Numbering.usual?(made.options, name) && type(made.options) == column["type"]
        end

        def next_of?(default, name) = default.match?(/\Anextval\('(?:[^'.]+\.)?"?#{Regexp.escape(name)}"?'::regclass\)\z/)

        def type(options)
          said = options.map(&:def_elem).find { |one| one.defname == "as" }
          said ? TypeName.of(said.arg.type_name).first : "bigint"
        end
      end
    end
  end
end
