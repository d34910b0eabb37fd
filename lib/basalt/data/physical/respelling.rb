# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Expressions of a table speak of its columns by name. Where a column is renamed they follow, as they do in a database (PostgreSQL 15,
      # ALTER TABLE RENAME).
      module Respelling
        SELECT = "SELECT "

        module_function

        # @param sql [String] one statement
        # @return [Array<String>] the columns that its expressions name
        def columns(sql)
          found = []
          each_name(PostgresParser.parse(sql)) { |name| found << name and nil }
          found.uniq
        end

        # @param check [Model::Element]
        # @return [Array<String>] the columns that it speaks of
        def checked(check)
          columns("#{SELECT}#{check["expression"]}")
        rescue PostgresParser::ParseError
          []
        end

        # @param draft [Change::Draft] in which columns may have got other names
        def settle(draft)
          renamed = Hash.new { |hash, key| hash[key] = {} }
          draft.elements.differences.each do |_, before, after|
            next unless before && after&.kind == "column" && before.name != after.name

            renamed[after.owner_id][before.name] = after.name
          end
          renamed.each { |table_id, names| follow(draft, table_id, names) }
        end

        # @param names [Hash{String => String}] old ones with new ones
        def follow(draft, table_id, names)
          Tabling.checks(draft, table_id).each { |one| respell(draft, one, "expression", SELECT, names) }
          Tabling.constraints(draft, table_id).each { |one| respell(draft, one, "as_written", AsWritten::BEGINNINGS[one["type"]], names) }
          Tabling.columns(draft, table_id).each do |one|
            respell(draft, one, "generated", SELECT, names) unless Numbering::WORDS.include?(one["generated"])
          end
        end

        # What the parser cannot read stays as it is.
        def respell(draft, element, fact, before, names)
          text = element[fact] or return
          tree = PostgresParser.parse("#{before}#{text}")
          named = 0
          each_name(tree) { |name| names[name].tap { |now| named += 1 if now } }
          return if named.zero?

          draft.apply(Change::Set.new(id: element.id, fact:, value: tree.deparse.delete_prefix(before)))
        rescue PostgresParser::ParseError
          nil
        end

        # Every place that names a column, which gets the name that the block answers with.
        def each_name(tree)
          tree.walk! do |node|
            case node
            when PgQuery::ColumnRef
              last = node.fields.last
              (yield last.string.sval)&.then { |now| last.string.sval = now } if last.node == :string
            when PgQuery::IndexElem
              (yield node.name)&.then { |now| node.name = now } unless node.name.empty?
            when PgQuery::Constraint
              [*node.keys, *node.including].each { |one| (yield one.string.sval)&.then { |now| one.string.sval = now } }
            end
          end
        end
      end
    end
  end
end
