# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The parts of an index that is more than names of columns, for another engine.
      class IndexInWords
        # @param made [PgQuery::IndexStmt]
        def initialize(engine, made)
          @engine = engine
          @made = made
        end

        # @return [String]
        # @raise [Expression::Unsaid]
        def text
          unsaid(@made.access_method) unless @made.access_method == "btree"
          unsaid("INCLUDE") if @made.index_including_params.any?
          unsaid("NULLS NOT DISTINCT") if @made.nulls_not_distinct
          parts = @made.index_params.map { |one| part(one.index_elem) }
          "(#{parts.join(", ")})#{where}"
        end

        private

        def unsaid(what) = raise(Expression::Unsaid, "“#{what}” is not known there")

        def part(one)
          unsaid("an operator class") if one.opclass.any?
          unsaid("a collation") if one.collation.any?
          text = one.name.empty? ? expression(one.expr) : @engine.quote(one.name)
          "#{text}#{" DESC" if one.ordering == :SORTBY_DESC}"
        end

        def expression(node)
          unsaid("an expression") unless @engine.holds?(:expressions)
          "(#{Expression.new(@engine).of(PostgresParser.deparse_expr(node))})"
        end

        def where
          return "" unless @made.where_clause

          unsaid("WHERE") unless @engine.holds?(:partial)
          " WHERE #{Expression.new(@engine).of(PostgresParser.deparse_expr(@made.where_clause))}"
        end
      end
    end
  end
end
