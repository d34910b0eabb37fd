# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What CREATE VIEW and CREATE MATERIALIZED VIEW make.
      class MakingViews
        CHECKS = { LOCAL_CHECK_OPTION: "WITH LOCAL CHECK OPTION", CASCADED_CHECK_OPTION: "WITH CASCADED CHECK OPTION" }.freeze
        PLAIN = /\ACREATE\s+(?:OR\s+REPLACE\s+)?(?:MATERIALIZED\s+)?VIEW\s+[^\s(]+\s+AS\s+/i
        NO_DATA = /\s+WITH\s+(?:NO\s+)?DATA\s*\z/i

        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::ViewStmt, PgQuery::CreateTableAsStmt]
        # @return [Boolean] whether it is modelled
        def take(made)
          made.is_a?(PgQuery::ViewStmt) ? plain(made) : materialised(made)
        end

        private

        def plain(made)
          return false if made.view.relpersistence != "p"

          view(made.view, made.replace, made.query.select_stmt, Spelled.heading(made), CHECKS[made.with_check_option])
        end

        def materialised(made)
          return false unless made.objtype == :OBJECT_MATVIEW && made.query.node == :select_stmt
          return true if made.if_not_exists && @reading.thing(made.into.rel)

          @reading.lost(["its tablespace"]) unless made.into.table_space_name.empty?
          ending = "WITH NO DATA" if made.into.skip_data
          view = view(made.into.rel, false, made.query.select_stmt, Spelled.heading(made), ending)
          @reading.set(view, "materialised", true)
          true
        end

        def view(relation, replaced, query, heading, ending)
          name = @reading.fresh(relation.schemaname, relation.relname)
          view = @reading.draft.named(name, "view").first
          raise Mistake, "#{name} is there already" if view && !replaced

          view ||= @reading.context.add("view", name:)
          { "query" => text(query), "heading" => heading, "ending" => ending }.each { |fact, value| @reading.set(view, fact, value) }
          @reading.context.show(view)
          view
        end

        # As it was written, where that is all of it.
        def text(query)
          deparsed = PostgresParser.deparse_stmt(query)
          written = @reading.piece.text.sub(PLAIN, "").sub(NO_DATA, "")
          same?(written, deparsed) ? written : deparsed
        end

        def same?(written, deparsed)
          trees = PostgresParser.parse(written).tree.stmts
          trees.one? && trees.first.stmt.node == :select_stmt && PostgresParser.deparse_stmt(trees.first.stmt.select_stmt) == deparsed
        rescue PostgresParser::ParseError
          false
        end
      end
    end
  end
end
