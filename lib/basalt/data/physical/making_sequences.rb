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
          return create(made) if made.is_a?(PgQuery::CreateSeqStmt)

          names = @reading.names(made.sequence)
          known = @reading.sequence(names)
          return @reading.sequences.alter(known, made, @reading.piece) || true if known

          table = @reading.numbered(names) or raise Mistake, "the script makes no sequence #{names.last}"
          @reading.add(table)
        end

        private

        def create(made)
          return true if made.if_not_exists && @reading.sequence(@reading.names(made.sequence))

          @reading.sequences.take(made, @reading.piece, @reading.fresh(made.sequence.schemaname, made.sequence.relname))
          true
        end
      end
    end
  end
end
