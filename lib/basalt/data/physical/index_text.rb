# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What CREATE INDEX says behind the name of the table (PostgreSQL 15, CREATE INDEX): the method, columns and expressions with their
      # order, collation and operator class, INCLUDE, NULLS NOT DISTINCT, storage options and WHERE, as the server's own deparser writes it.
      module IndexText
        BEGINNING = "CREATE INDEX ON t "

        module_function

        # @param made [PgQuery::IndexStmt]
        # @return [String, nil] nil where the names of its columns tell all
        def of(made)
          return if plain?(made)

          bare = made.dup
          bare.relation = PgQuery::RangeVar.new(relname: "t", inh: true, relpersistence: "p")
          { idxname: "", table_space: "", unique: false, concurrent: false, if_not_exists: false }.each do |field, value|
            bare[field.to_s] = value
          end
          PostgresParser.deparse_stmt(bare).delete_prefix(BEGINNING)
        end

        # @param text [String] as a person wrote it
        # @return [String] as the deparser writes it
        # @raise [Mistake] where it is not the rest of one CREATE INDEX
        def clean(text)
          made = read(text)
          of(made) || "(#{made.index_params.map { |one| SQLName.quote(one.index_elem.name) }.join(", ")})"
        end

        # @return [Array<String>] the columns that it speaks of, those that are indexed themselves first
        def columns(text)
          indexed = read(text).index_params.map { |one| one.index_elem.name }.reject(&:empty?)
          (indexed + Respelling.columns("#{BEGINNING}#{text}")).uniq
        end

        # @return [Boolean] whether an index that is unique makes its columns unique in all rows
        def whole?(text)
          made = read(text)
          made.where_clause.nil? && made.index_params.none? { |one| one.index_elem.name.empty? } && made.index_including_params.empty?
        rescue Mistake
          false
        end

        def read(text)
          statements = PostgresParser.parse("#{BEGINNING}#{text}").tree.stmts
          made = statements.first&.stmt&.index_stmt
          raise Mistake, "“#{text}” is more than the rest of one CREATE INDEX" unless statements.one? && made

          made
        rescue PostgresParser::ParseError => e
          raise Mistake, "“#{text}” does not go on CREATE INDEX: #{e.message.sub(/ \(scan.*/, "")}"
        end

        def plain?(made)
          made.access_method == "btree" && made.where_clause.nil? && made.index_including_params.empty? && made.options.empty? &&
            !made.nulls_not_distinct && made.index_params.all? { |one| plain_part?(one.index_elem) }
        end

        def plain_part?(part)
          !part.name.empty? && part.collation.empty? && part.opclass.empty? && part.opclassopts.empty? &&
            part.ordering == :SORTBY_DEFAULT && part.nulls_ordering == :SORTBY_NULLS_DEFAULT
        end
      end
    end
  end
end
