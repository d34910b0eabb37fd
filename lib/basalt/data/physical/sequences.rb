# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The sequences that a script makes. One that is owned by the column that it numbers, and is as PostgreSQL makes it for a serial
      # column, is that column's numbering; pg_dump writes the two apart.
      class Sequences
        Made = Struct.new(:piece, :options, :owner)

        def initialize
          @made = {}
        end

        # @param made [PgQuery::CreateSeqStmt]
        # @param piece [SQLText::Piece] where it stands
        def take(made, piece) = @made[made.sequence.relname] = Made.new(piece, made.options.to_a, owner(made.options))

        # @param made [PgQuery::AlterSeqStmt]
        # @return [Boolean] whether that is modelled: who owns it is
        def alter(made)
          known = @made[made.sequence.relname] or return false
          return false unless made.options.map { |one| one.def_elem.defname } == ["owned_by"]

          known.owner = owner(made.options)
          true
        end

        # Tells the columns of a draft that they number rows.
        #
        # @yieldparam column [Model::Element] which is numbered
        # @return [Array<SQLText::Piece>] the sequences that are nobody's
        def settle(draft)
          numbered = draft.of_kind("column").select { |column| column["default"].to_s.start_with?("nextval(") }
          @made.reject do |name, made|
            column = numbered.find { |one| column?(draft, one, name, made) }
            yield column if column
            column
          end.map { |_, made| made.piece }
        end

        private

        def owner(options)
          said = options.map(&:def_elem).find { |one| one.defname == "owned_by" }
          said&.arg&.list&.items&.map { |one| one.string.sval }&.last(2)
        end

        def column?(draft, column, name, made)
          table = draft.element(column.owner_id).name
          made.owner == [table, column.name] && name == Numbering.usual_name(table, column.name) && column["required"] &&
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
