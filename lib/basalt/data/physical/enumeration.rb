# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A type that lists its values (PostgreSQL 15, CREATE TYPE ... AS ENUM).
      module Enumeration
        MADE = "CREATE TYPE %s AS ENUM (%s)"

        module_function

        # @param name [String] of the element
        # @return [String] the SQL that makes it
        def written(name, values) = format(MADE, SQLName.qualified(name), values.map { |one| SQLName.text(one) }.join(", "))

        # @return [Array<String>, nil] nil where it is no SQL of one
        def values(sql)
          statement = PostgresParser.parse(sql).tree.stmts.first&.stmt
          statement.create_enum_stmt.vals.map { |one| one.string.sval } if statement&.node == :create_enum_stmt
        rescue PostgresParser::ParseError
          nil
        end

        # @param object [Model::Element]
        # @return [Array<String>, nil] the values where they tell all of it, and can be told in words
        def plain(object)
          return unless object.noun == Kinds::ENUMERATION && object["written"]

          found = values(object["written"])
          found if found&.any? && found.all? { |one| plain?(one) } && written(object.name, found) == object["written"]
        end

        # @param made [PgQuery::AlterEnumStmt]
        # @return [Array<String>] the values after it
        # @raise [Mistake] where there is no such value
        def altered(values, made)
          return values if made.skip_if_new_val_exists && values.include?(made.new_val)
          return [*values, made.new_val] if made.new_val_neighbor.empty?

          at = values.index(made.new_val_neighbor) or raise Mistake, "there is no value #{made.new_val_neighbor}"
          values.dup.insert(made.new_val_is_after ? at + 1 : at, made.new_val)
        end

        def plain?(value) = !value.empty? && value == value.strip && value.length <= Model::Names::LIMIT && !value.match?(/[[:cntrl:]]/)
      end
    end
  end
end
