# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a table, its columns and its constraints say in PostgreSQL's SQL, clause by clause.
      class Definitions
        CONSTRAINTS = { "unique" => "UNIQUE", "exclusion" => "EXCLUDE" }.freeze
        INDEXES = { "index" => "CREATE INDEX", "unique index" => "CREATE UNIQUE INDEX" }.freeze
        DEFERRED = { "deferrable" => " DEFERRABLE", "initially deferred" => " DEFERRABLE INITIALLY DEFERRED" }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param names [Hash{String => String}] by id what a table is called, where that is not its name
        def initialize(set, names = {})
          @set = set
          @names = names
        end

        def name(table_id) = SQLName.qualified(@names.fetch(table_id) { @set.element(table_id).name })
        def columns(table) = Tabling.columns(@set, table.id)
        def list(columns) = columns.map { |column| SQLName.quote(column.name) }.join(", ")

        # @return [Array<Model::Element>] those that say by which columns
        def references(table) =
          Tabling
            .references(@set, table.id)
            .select { |one| one.targets("column").any? && one.targets("key").length == one.targets("column").length }

        # @return [String] all of it, as it stands in CREATE TABLE
        def column(column)
          [
            SQLName.quote(column.name),
            Numbering.type(column),
            Numbering.clause(column),
            ("NOT NULL" if column["required"] && !column["key"] && !Numbering::WORDS.include?(column["generated"])),
            ("DEFAULT #{column["default"]}" if column["default"])
          ].compact.join(" ")
        end

        # @return [String, nil]
        def key(table)
          key = Tabling.key_columns(@set, table.id)
          return if key.empty?

          "#{named(table["key_called"])}PRIMARY KEY (#{list(key)})#{" #{table["key_written"]}" if table["key_written"]}"
        end

        # @return [Array<Model::Element>] constraints that are made with their table
        def uniques(table) = Tabling.constraints(@set, table.id).select { |one| CONSTRAINTS.key?(one["type"]) }
        def indexes(table) = Tabling.constraints(@set, table.id).select { |one| INDEXES.key?(one["type"]) }

        def unique(one)
          "#{named(one["called"])}#{CONSTRAINTS.fetch(one["type"])} #{one["as_written"] || "(#{list(constrained(one))})"}#{deferred(one)}"
        end

        def checks(table) = Tabling.checks(@set, table.id).select { |one| one["expression"] }
        def check(one) = "#{named(one["called"])}CHECK (#{one["expression"]})#{" NO INHERIT" if one["inheritance"]}"

        def foreign_key(reference)
          keys = reference.targets("key").map { |id| @set.element(id) }
          "#{named(reference["called"])}FOREIGN KEY (#{list(constrained(reference))}) " \
            "REFERENCES #{name(reference.target("to"))} (#{list(keys)})#{referring(reference)}#{deferred(reference)}"
        end

        # What is not made with its table: in an ALTER TABLE of its own alone rows may stay unlooked at.
        #
        # @return [String] the statement
        def added(table_id, text, validity = nil) = "ALTER TABLE #{name(table_id)} ADD #{text}#{" NOT VALID" if validity};"

        def index(one)
          called = "#{SQLName.quote(one["called"])} " if one["called"]
          "#{INDEXES.fetch(one["type"])} #{called}ON #{name(one.target("table"))} #{one["as_written"] || "(#{list(constrained(one))})"};"
        end

        def view(view)
          words = ["CREATE", ("MATERIALIZED" if view["materialised"]), "VIEW", SQLName.qualified(view.name), view["heading"], "AS"]
          query = view["query"].strip.delete_suffix(";")
          "#{words.compact.join(" ")} #{query}#{" #{view["ending"]}" if view["ending"]};"
        end

        # @return [Array<Array(String, Model::Element)>] what is commented on, with the element whose meaning is the comment
        def commented(thing)
          return [["#{"MATERIALIZED " if thing["materialised"]}VIEW #{SQLName.qualified(thing.name)}", thing]] if thing.kind == "view"

          [["TABLE #{name(thing.id)}", thing]] +
            columns(thing).map { |column| ["COLUMN #{name(thing.id)}.#{SQLName.quote(column.name)}", column] }
        end

        # @param words [String, nil] nil takes the comment away
        def comment(what, words) = "COMMENT ON #{what} IS #{words ? SQLName.text(words) : "NULL"};"

        # A partition with columns of its own is a table that is attached; one without has those of what it is a part of.
        def attached?(table) = partition(table) && columns(table).any?
        def partition(table) = Sentences.inheritances(@set, table.id).find { |one| one["bounds"] }

        # @return [Array<String>] what a table inherits from as soon as it is made
        def parents(table)
          found = Sentences.inheritances(@set, table.id).reject { |one| one["bounds"] || one["afterwards"] }
          found.map { |one| name(one.target("parent")) }
        end

        # @return [String, nil] what joins a table that is there to what it inherits from
        def joining(one)
          table = @set.element(one.target("table"))
          parent = name(one.target("parent"))
          return "ALTER TABLE #{parent} ATTACH PARTITION #{name(table.id)} #{one["bounds"]};" if one["bounds"] && attached?(table)

          "ALTER TABLE #{name(table.id)} INHERIT #{parent};" if one["afterwards"]
        end

        # @param lines [Array<String>] the columns and constraints of a table
        # @return [String] CREATE TABLE
        def table(table, lines)
          "CREATE #{"UNLOGGED " if table["unlogged"]}TABLE #{name(table.id)} #{beginning(table, lines)}#{ending(table)};"
        end

        private

        def named(name) = name ? "CONSTRAINT #{SQLName.quote(name)} " : ""
        def constrained(one) = one.targets("column").map { |id| @set.element(id) }
        def deferred(one) = DEFERRED[one["deferred"]]

        def referring(reference)
          actions = { "DELETE" => reference["deleting"], "UPDATE" => reference["updating"] }.compact
          emptied = reference.targets("emptied").map { |id| @set.element(id) }
          said = actions.map { |on, action| " ON #{on} #{action.upcase}#{" (#{list(emptied)})" if on == "DELETE" && emptied.any?}" }
          "#{" MATCH FULL" if reference["full"]}#{said.join}"
        end

        def beginning(table, lines)
          listed = lines.any? ? "(\n  #{lines.join(",\n  ")}\n)" : "()"
          one = partition(table)
          return listed if one.nil? || attached?(table)

          "PARTITION OF #{name(one.target("parent"))} #{"#{listed} " if lines.any?}#{one["bounds"]}"
        end

        def ending(table)
          parents = parents(table)
          [
            (" INHERITS (#{parents.join(", ")})" if parents.any?), (" PARTITION BY #{table["partitioned"]}" if table["partitioned"]),
            (" #{table["stored"]}" if table["stored"])
          ].join
        end
      end
    end
  end
end
