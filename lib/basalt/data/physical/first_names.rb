# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A constraint, an index and the sequence of a column are named when they are made; when their table or its columns are called
      # otherwise later, they keep the name.
      module FirstNames
        module_function

        # @param draft [Change::Draft] in which a table is about to be renamed, or a column of it
        def keep(draft, table)
          columns = Tabling.columns(draft, table.id)
          numbered = columns.select { |one| Numbering::WORDS.include?(one["generated"]) }
          numbered.each { |one| name(draft, one, "sequence", usual_sequence(table, one)) }
          name(draft, table, "key_called", usual_key(table)) if columns.any? { |one| one["key"] }
          constraints(draft, table).each { |one| name(draft, one, "called", Naming.usual_of(draft, table, one)) }
        end

        # What is the usual name after all is not said.
        def settle(draft, table)
          Tabling.columns(draft, table.id).each { |one| unsay(draft, one, "sequence", usual_sequence(table, one)) }
          unsay(draft, table, "key_called", usual_key(table))
          constraints(draft, table).each { |one| unsay(draft, one, "called", Naming.usual_of(draft, table, one)) }
        end

        # @return [String]
        def usual_sequence(table, column) =
          SQLName.of(SQLName.schema(table.name), Numbering.usual_name(SQLName.local(table.name), column.name))

        def usual_key(table) = UsualName.of("key", SQLName.local(table.name), [])

        def constraints(draft, table) = %i[checks references constraints].flat_map { |what| Tabling.public_send(what, draft, table.id) }

        def name(draft, element, fact, usual)
          draft.apply(Change::Set.new(id: element.id, fact:, value: usual)) unless element[fact]
        end

        def unsay(draft, element, fact, usual)
          draft.apply(Change::Set.new(id: element.id, fact:, value: nil)) if element[fact] == usual
        end
      end
    end
  end
end
