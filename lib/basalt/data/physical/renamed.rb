# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A name that SQL speaks of, and what is said instead. The rest of the text stays as it is.
      class Renamed
        # Words behind which a statement names something that its tree tells no place of.
        BEFORE = %i[TYPE_P DOMAIN_P FUNCTION PROCEDURE SEQUENCE AGGREGATE SCHEMA EXTENSION ROUTINE TABLE VIEW COLUMN BY ON].to_set.freeze
        # Words behind which it is a column of something.
        OF_COLUMN = %i[COLUMN BY].freeze
        POINT = 46.chr

        # @param old [Array(String, String)] schema and name
        # @param now [Array(String, String)]
        def initialize(old, now)
          @old_schema, @old = old
          @schema, @name = now
        end

        # @return [Boolean] whether a closer look is worth it
        def perhaps_in?(text) = text.downcase.include?(@old.downcase)

        # @param sql [String] one statement or several
        # @return [String]
        # @raise [PostgresParser::ParseError]
        def in(sql)
          @sql = sql.b
          @tokens = PostgresParser.scan(sql).first.tokens.to_a
          places = places(PostgresParser.parse(sql))
          spans = (0...@tokens.length).flat_map { |index| span(index, places) }
          spans.reverse_each { |from, to, text| @sql[from...to] = text.b }
          @sql.force_encoding("UTF-8")
        end

        private

        # @return [Hash{Integer => Integer}] by place, how many names stand there
        def places(tree)
          found = {}
          tree.walk! do |node|
            case node
            when PgQuery::RangeVar, PgQuery::TypeName, PgQuery::FuncCall then found[node.location] = :whole
            when PgQuery::ColumnRef then found[node.location] ||= :column if node.fields.length > 1
            end
          end
          found
        end

        def span(index, places)
          token = @tokens[index]
          return string(index) if token.token == :SCONST

          before = index.positive? ? @tokens[index - 1].token : nil
          role = places[token.start] || (BEFORE.include?(before) ? (OF_COLUMN.include?(before) ? :column : :whole) : nil) or return []
          names = names(index)
          at = role == :column ? names.length - 2 : names.length - 1
          at.negative? ? [] : replaced(names[0..at])
        end

        # @return [Array<PgQuery::ScanToken>] the names from there, between points
        def names(index)
          found = [@tokens[index]]
          while point?(index + 1) && @tokens[index + 2]
            index += 2
            found << @tokens[index]
          end
          found
        end

        def point?(index) = @tokens[index] && @sql[@tokens[index].start...@tokens[index].end] == POINT

        def replaced(names)
          schema = names.length > 1 ? word(names[-2]) : nil
          return [] unless word(names.last) == @old && schema?(schema)

          [[names.length > 1 ? names[-2].start : names.last.start, names.last.end, spelled(schema)]]
        end

        def schema?(schema) = schema.nil? || schema == (@old_schema || Reading::USUAL)

        def spelled(schema)
          home = @schema || (schema && Reading::USUAL)
          home = nil if schema.nil? && @schema == @old_schema
          [home, @name].compact.map { |one| SQLName.quote(one) }.join(".")
        end

        def word(token)
          text = @sql[token.start...token.end].dup.force_encoding("UTF-8")
          text.start_with?('"') ? text[1..-2].gsub('""', '"') : text.downcase
        end

        # Texts that are names of relations.
        def string(index)
          token = @tokens[index]
          return [] unless @tokens[index + 1]&.token == :TYPECAST && @tokens[index + 2] && word(@tokens[index + 2]) == "regclass"

          text = @sql[(token.start + 1)...(token.end - 1)].dup.force_encoding("UTF-8")
          schema, name = SQLName.parts(text)
          name == @old && schema?(schema) ? [[token.start + 1, token.end - 1, spelled(schema)]] : []
        end
      end
    end
  end
end
