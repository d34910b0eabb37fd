# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What indexes and constraints of a table are found by: the name that is said, or the one that the server would give.
      module Naming
        WHAT = { "unique" => "unique", "index" => "index", "unique index" => "index", "exclusion" => "exclusion" }.freeze

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

        # @param homes [Array<String, nil>] schemas in which it is looked for, in order
        # @return [Array(Model::Element, Model::Element), nil] the table with its index of that name; twice the table for its key
        def indexed(set, homes, name)
          tables(set, homes).each do |table|
            found = index(set, table, name) || (table if key(table) == name && Tabling.key_columns(set, table.id).any?)
            return [table, found] if found
          end
          nil
        end

        # @param homes [Array<String, nil>] schemas in which it is looked for, in order
        # @return [Model::Element, nil] the table with a column that is numbered by that sequence
        def numbered(set, homes, name)
          tables(set, homes).find do |table|
            Tabling.columns(set, table.id).any? { |one| Numbering::WORDS.include?(one["generated"]) && sequence(set, one) == name }
          end
        end

        def tables(set, homes)
          found = set.of_kind("table").group_by { |table| SQLName.schema(table.name) }
          homes.flat_map { |home| found.fetch(home, []) }
        end

        def sequence(set, column) = column["sequence"]&.then { |name| SQLName.local(name) } ||
          Numbering.usual_name(SQLName.local(set.element(column.owner_id).name), column.name)

        # @return [String] what a constraint, a check or a reference would be called
        def usual_of(set, table, one)
          case one.kind
          when "check" then of_check(table, one)
          when "reference" then usual(set, table, "reference", one)
          else usual(set, table, WHAT.fetch(one["type"]), one)
          end
        end

        def of_constraint(set, table, one) = one["called"] || usual(set, table, WHAT.fetch(one["type"]), one)

        def usual(set, table, what, one)
          written = one["as_written"]
          names = written ? AsWritten.titles(one["type"], written) : one.targets("column").map { |id| set.element(id).name }
          UsualName.of(what, SQLName.local(table.name), names)
        end

        # A check of one column is named by it; of several by none (ChooseConstraintName).
        def of_check(table, one)
          columns = Respelling.checked(one)
          UsualName.of("check", SQLName.local(table.name), columns.one? ? columns : [])
        end
      end
    end
  end
end
