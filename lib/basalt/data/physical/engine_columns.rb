# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The columns of a table for another engine than PostgreSQL.
      class EngineColumns
        # A default that stands without parentheses anywhere.
        PLAIN = /\A(?:-?[\d.]+|'(?:[^']|'')*'|NULL|TRUE|FALSE|CURRENT_\w+)\z/
        COUNTED = /\A(?:small|big)?int(?:eger)?\z/

        # @param script [EngineScript]
        def initialize(script, table)
          @script = script
          @set = script.set
          @engine = script.engine
          @table = table
        end

        # @return [Array<Model::Element>] with those that the table inherits, which come first
        def all
          found = []
          Tabling.lineage(@set, @table.id) { |id| found << id }
          above = found.drop(1).map { |id| @set.element(id) }
          above.each { |parent| lose(@table, "#{@table.name} has the columns of #{parent.name}, whose rows do not show its own") }
          found.reverse.flat_map { |id| Tabling.columns(@set, id) }.reverse.uniq(&:name).reverse
        end

        # @return [Array(String, String)] the column as CREATE TABLE has it, and a check that its type asks for
        def say(column)
          return [numbered(column), nil] if itself?(column)

          type, check = type(column)
          lose(column, "#{column.name} does not number its rows") if numbers?(column)
          required = "NOT NULL" if column["required"] || column["key"]
          [[@engine.quote(column.name), type, generated(column), required, default(column), @script.comment(column)].compact.join(" "),
           check]
        end

        # @return [Boolean] whether it is the whole key and a number that the engine counts
        def itself?(column)
          numbers?(column) && Tabling.key_columns(@set, @table.id) == [column] && column["type"].to_s.match?(COUNTED)
        end

        private

        def lose(element, words) = @script.lose(element, words)
        def numbers?(column) = Numbering::WORDS.include?(column["generated"])
        def numbered(column) = "#{@engine.quote(column.name)} #{@engine.numbered(spelled(column["type"]).first)}"
        def spelled(type) = @engine.type(type || Logical::Types::OTHER, @script.types)

        # What is of a type that the model makes is of what that is made of.
        def type(column)
          object = made_type(column["type"])
          return made(column, object) if object

          type, lost = spelled(column["type"])
          lose(column, "#{column.name}: #{lost}") if lost
          [@engine.keyed(type, keyed?(column)), nil]
        end

        def made_type(type) = type && @script.object(type.delete_prefix("#{Reading::USUAL}."))

        def keyed?(column)
          said = Tabling.constraints(@set, @table.id) + Tabling.references(@set, @table.id) + @set.relations_of(column.id, "reference")
          column["key"] || said.any? { |one| one.targets("column").include?(column.id) || one.targets("key").include?(column.id) }
        end

        def made(column, object)
          values = Enumeration.values(object["written"].to_s)
          return @engine.enumerated(@engine.quote(column.name), values) if values

          made = PostgresParser.parse(object["written"].to_s).tree.stmts.first&.stmt
          return domain(column, made.create_domain_stmt) if made&.node == :create_domain_stmt

          lose(column, "#{column.name} is of #{object.name}, and becomes text")
          [spelled("text").first, nil]
        end

        def domain(column, made)
          type, lost = spelled(TypeName.of(made.type_name).first)
          lose(column, "#{column.name}: #{lost}") if lost
          checks = made.constraints.map(&:constraint).select { |one| one.contype == :CONSTR_CHECK }
          value = @engine.quote(column.name)
          said = checks.filter_map { |one| @script.expression(column, PostgresParser.deparse_expr(one.raw_expr), value:) }
          [@engine.keyed(type, keyed?(column)), said.any? ? "CHECK (#{said.join(" AND ")})" : nil]
        end

        def generated(column)
          return if column["generated"].nil? || numbers?(column)

          said = @script.expression(column, column["generated"])
          "GENERATED ALWAYS AS (#{said}) STORED" if said
        end

        def default(column)
          return unless column["default"]

          said = @script.expression(column, column["default"]) or return
          "DEFAULT #{said.match?(PLAIN) ? said : "(#{said})"}"
        end
      end
    end
  end
end
