# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # COMMENT ON: what a table, a column or a view means, and what is said of other things.
      class Commenting
        TABLES = %i[OBJECT_TABLE OBJECT_FOREIGN_TABLE OBJECT_VIEW OBJECT_MATVIEW].freeze

        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::CommentStmt]
        # @return [Boolean] whether it is modelled; otherwise it is kept
        def take(made)
          names = made.object.list ? made.object.list.items.filter_map { |one| one.string&.sval } : []
          return mean(table!(names), made) if TABLES.include?(made.objtype)
          return column(names, made) if made.objtype == :OBJECT_COLUMN
          return sequence(names) if made.objtype == :OBJECT_SEQUENCE

          false
        end

        private

        def sequence(names)
          known = @reading.sequence(names) or return false
          @reading.sequences.say(known, @reading.piece)
        end

        def table!(names) = @reading.called(names) || raise(Mistake, "#{names.last} is not made by the script")

        def mean(element, made)
          return false unless %w[table view column].include?(element.kind)

          @reading.set(element, "meaning", made.comment)
          true
        end

        def column(names, made)
          table = table!(names[0..-2])
          return @reading.add(table) unless table.kind == "table"

          own = Tabling.column(@reading.draft, table.id, names.last)
          return mean(own, made) if own

          Tabling.column!(@reading.draft, table, names.last)
          @reading.add(table)
        end
      end
    end
  end
end
