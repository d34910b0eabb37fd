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

        # @param made [PgQuery::CreateSeqStmt]
        # @param piece [SQLText::Piece] where it stands
        # @param name [String] what it is called in the model
        def take(made, piece, name)
          usual = made.sequence.relpersistence == "p"
          @made[made.sequence.relname] = Made.new(piece, name, made.options.to_a, owner(made.options), [], !usual)
        end

        # @param made [PgQuery::AlterSeqStmt]
        # @return [Boolean] whether the sequence is known
        def alter(made, piece)
          known = @made[made.sequence.relname] or return false
          known.altered << piece
          owned = made.options.map { |one| one.def_elem.defname } == ["owned_by"]
          owned ? known.owner = owner(made.options) : known.unusual = true
          true
        end

        # @return [Boolean] whether it is known; what is said of it is kept then
        def say(name, piece)
          known = @made[name] or return false
          known.altered << piece
          known.unusual = true
        end

        # @return [Boolean] whether it was there
        def drop(name) = !@made.delete(name).nil?
        def known?(name) = @made.key?(name)

        # @return [Boolean] whether it was there
        def rename(name, fresh, piece)
          known = @made.delete(name) or return false
          known.altered << piece
          known.unusual = true
          @made[fresh] = known
          true
        end

        # Columns are told that they are numbered by them; what is left is kept.
        #
        # @param reading [Reading]
        def settle(reading)
          numbered = reading.draft.of_kind("column").select { |column| column["default"].to_s.start_with?("nextval(") }
          @made.each do |name, made|
            column = numbered.find { |one| column?(reading.draft, one, name, made) }
            next Columns.new(reading, nil).numbered(column, Numbering::SERIAL) if column

            reading.attempt(made.piece) { keep(reading, made) }
          end
        end

        private

        def keep(reading, made)
          object = reading.keep("sequence", made.name)
          reading.tell(nil, kept: true)
          made.altered.each { |piece| reading.attempt(piece) { reading.add(object) } }
        end

        def owner(options)
          said = options.map(&:def_elem).find { |one| one.defname == "owned_by" }
          said&.arg&.list&.items&.map { |one| one.string.sval }&.last(2)
        end

        def column?(draft, column, name, made)
          table = SQLName.local(draft.element(column.owner_id).name)
          !made.unusual && made.owner == [table, column.name] && name == Numbering.usual_name(table, column.name) && column["required"] &&
            next_of?(column["default"], name) && Numbering.usual?(made.options, name) && type(made.options) == column["type"]
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
