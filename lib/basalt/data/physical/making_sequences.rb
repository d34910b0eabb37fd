# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Sequences are looked at when all of the script is known.
      class MakingSequences
        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::CreateSeqStmt, PgQuery::AlterSeqStmt]
        # @return [Boolean] whether it is taken
        def take(made)
          name = made.sequence.relname
          if made.is_a?(PgQuery::CreateSeqStmt)
            return false if made.sequence.relpersistence == "t"

            @reading.sequences.take(made, @reading.piece, @reading.fresh(made.sequence.schemaname, name))
            return true
          end
          return true if @reading.sequences.alter(made, @reading.piece)

          table = Naming.numbered(@reading.draft, name) or raise Mistake, "the script makes no sequence #{name}"
          @reading.add(table)
        end
      end
    end
  end
end
