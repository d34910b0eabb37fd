# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A constraint is named when it is made; when its table or its columns are called otherwise later, it keeps the name.
      module FirstNames
        module_function

        # @param draft [Change::Draft] in which a table is about to be renamed, or a column of it
        def keep(draft, table)
          columns = Tabling.columns(draft, table.id)
          columns.each { |one| number(draft, table, one) }
          name(draft, table, "key_called", "key", table, []) if columns.any? { |one| one["key"] }
          Tabling.checks(draft, table.id).each { |one| name(draft, one, "called", "check", table, checked(one)) }
          Tabling.references(draft, table.id).each { |one| name(draft, one, "called", "reference", table, joined(draft, one)) }
          Tabling.constraints(draft, table.id).reject { |one| one["as_written"] }.each do |one|
            name(draft, one, "called", one["type"] == "unique" ? "unique" : "index", table, joined(draft, one))
          end
        end

        def name(draft, element, fact, what, table, columns)
          return if element[fact]

          draft.apply(Change::Set.new(id: element.id, fact:, value: UsualName.of(what, SQLName.local(table.name), columns)))
        end

        # The sequence of a column that numbers rows.
        def number(draft, table, column)
          return unless Numbering::WORDS.include?(column["generated"]) && column["sequence"].nil?

          sequence = [SQLName.schema(table.name), Numbering.usual_name(SQLName.local(table.name), column.name)]
          draft.apply(Change::Set.new(id: column.id, fact: "sequence", value: SQLName.of(*sequence)))
        end

        def joined(draft, one) = one.targets("column").map { |id| draft.element(id).name }

        # A check of one column is named by it; of several by none (ChooseConstraintName).
        def checked(check)
          columns = Respelling.checked(check)
          columns.one? ? columns : []
        end
      end
    end
  end
end
