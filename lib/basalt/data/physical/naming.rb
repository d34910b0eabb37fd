# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What indexes and constraints of a table are found by: the name that is said, or the one that the server would give.
      module Naming
        module_function

        # @return [Model::Element, nil]
        def index(set, table, name) = Tabling.constraints(set, table.id).find { |one| of_constraint(set, table, one) == name }

        # @return [Model::Element, nil] a constraint, a check or a reference; the key is not among them
        def constraint(set, table, name)
          index(set, table, name) ||
            Tabling.references(set, table.id).find { |one| (one["called"] || usual(set, table, "reference", one)) == name } ||
            Tabling.checks(set, table.id).find { |one| (one["called"] || of_check(table, one)) == name }
        end

        # @return [String] the name of the key
        def key(table) = table["key_called"] || UsualName.of("key", SQLName.local(table.name), [])

        # @return [Array(Model::Element, Model::Element), nil] a table of a schema with its index of that name; twice the table for its key
        def indexed(set, name)
          set.of_kind("table").each do |table|
            found = index(set, table, name) || (table if key(table) == name && Tabling.key_columns(set, table.id).any?)
            return [table, found] if found
          end
          nil
        end

        # @return [Model::Element, nil] the table with a column that is numbered by that sequence
        def numbered(set, name)
          column = set.of_kind("column").find do |one|
            Numbering::WORDS.include?(one["generated"]) && sequence(set, one) == name
          end
          column && set.element(column.owner_id)
        end

        def sequence(set, column) = column["sequence"]&.then { |name| SQLName.local(name) } ||
          Numbering.usual_name(SQLName.local(set.element(column.owner_id).name), column.name)

        def of_constraint(set, table, one) = one["called"] || usual(set, table, one["type"] == "unique" ? "unique" : "index", one)

        def usual(set, table, what, one) =
          UsualName.of(what, SQLName.local(table.name), one.targets("column").map { |id| set.element(id).name })

        def of_check(table, one) = UsualName.of("check", SQLName.local(table.name), FirstNames.checked(one))
      end
    end
  end
end
