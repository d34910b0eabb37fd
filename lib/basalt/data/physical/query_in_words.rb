# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A query of PostgreSQL for another engine: what is joined, chosen, grouped and sorted, as far as its expressions can be said there.
      class QueryInWords
        JOINS = { JOIN_INNER: "JOIN", JOIN_LEFT: "LEFT JOIN" }.freeze

        # @param names [#call] gives the name of a table by its schema and its own
        def initialize(engine, names)
          @engine = engine
          @names = names
        end

        # @param sql [String]
        # @return [String]
        # @raise [Expression::Unsaid]
        def of(sql)
          statements = PostgresParser.parse(sql).tree.stmts
          unsaid("more than one query") unless statements.one? && statements.first.stmt.node == :select_stmt
          select(statements.first.stmt.select_stmt)
        rescue PostgresParser::ParseError
          unsaid("what cannot be read")
        end

        private

        def unsaid(what) = raise(Expression::Unsaid, "“#{what}” is not known there")

        def select(one)
          unsaid("UNION") unless one.op == :SETOP_NONE
          unsaid("WITH") if one.with_clause
          unsaid("a window") if one.window_clause.any?
          unsaid("DISTINCT ON") if one.distinct_clause.any? { |node| node.node }
          [
            "SELECT#{" DISTINCT" if one.distinct_clause.any?} #{one.target_list.map { |node| target(node.res_target) }.join(", ")}",
            ("FROM #{one.from_clause.map { |node| from(node) }.join(", ")}" if one.from_clause.any?),
            ("WHERE #{say(one.where_clause)}" if one.where_clause),
            ("GROUP BY #{one.group_clause.map { |node| say(node) }.join(", ")}" if one.group_clause.any?),
            ("HAVING #{say(one.having_clause)}" if one.having_clause),
            ("ORDER BY #{one.sort_clause.map { |node| sorted(node.sort_by) }.join(", ")}" if one.sort_clause.any?)
          ].compact.join(" ")
        end

        def say(node) = InQuery.new(@engine).of(PostgresParser.deparse_expr(node))

        def target(one)
          return star(one.val.column_ref) if one.val.node == :column_ref && one.val.column_ref.fields.last.node == :a_star

          "#{say(one.val)}#{" AS #{@engine.quote(one.name)}" unless one.name.empty?}"
        end

        def star(one) = [*one.fields[0..-2].map { |part| @engine.quote(part.string.sval) }, "*"].join(".")
        def sorted(one) = "#{say(one.node)}#{" DESC" if one.sortby_dir == :SORTBY_DESC}"

        def from(node)
          case node.node
          when :range_var then table(node.range_var)
          when :join_expr then joined(node.join_expr)
          else unsaid(node.node.to_s.tr("_", " "))
          end
        end

        def table(one)
          unsaid("names of columns behind a table") if one.alias&.colnames&.any?
          name = @names.call(one.schemaname, one.relname)
          shown = one.alias ? one.alias.aliasname : one.relname
          name == @engine.quote(shown) ? name : "#{name} AS #{@engine.quote(shown)}"
        end

        def joined(one)
          words = JOINS[one.jointype] or unsaid(one.jointype.to_s)
          unsaid("NATURAL") if one.is_natural
          on = one.using_clause.any? ? "USING (#{one.using_clause.map { |part| @engine.quote(part.string.sval) }.join(", ")})" : nil
          on ||= "ON #{say(one.quals)}" if one.quals
          "#{from(one.larg)} #{on ? words : "CROSS JOIN"} #{from(one.rarg)}#{" #{on}" if on}"
        end

        # In a query columns stand behind what they are of.
        class InQuery < Expression
          private

          def reference(one)
            unsaid("*") if one.fields.last.node == :a_star
            one.fields.last(2).map { |part| @engine.quote(part.string.sval) }.join(".")
          end
        end
      end
    end
  end
end
