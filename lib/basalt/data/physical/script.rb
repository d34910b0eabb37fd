# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # SQL for PostgreSQL (ISO/IEC 9075-2 where it suffices) that makes the tables of a model and what else the database holds, in an
      # order that loads: what something needs comes first, and circles are closed afterwards.
      class Script
        CONSTRAINTS = { "unique" => "UNIQUE", "exclusion" => "EXCLUDE" }.freeze
        INDEXES = { "index" => "CREATE INDEX", "unique index" => "CREATE UNIQUE INDEX" }.freeze

        # A statement, the id of the element that it is about, and for each of its lines the id of
        # the part that it is about.
        Statement = Value.of(:text, :element_id, :parts)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param things [Array<Model::Element>, nil] tables, views and other objects; nil for all. What they need of other objects is
        #   made too.
        def initialize(set, things = nil)
          @set = set
          wanted = things || set.of_kind("table", "view", Kinds::OBJECT)
          objects = set.of_kind(Kinds::OBJECT)
          needed = things ? Needs.new(set, (objects + wanted).uniq(&:id)).objects(wanted) | objects.select { |one| first?(one) } : []
          @things = (needed + wanted).uniq(&:id).sort_by { |one| one.ordinal || 0 }
          @tables = @things.select { |thing| thing.kind == "table" }
          @names = names
        end

        # @return [String]
        def text = "#{statements.map(&:text).join("\n\n")}\n"

        # @return [Array<Statement>]
        def statements
          @later = []
          @made = []
          made = Needs.new(@set, @things).order.flat_map { |thing| make(thing) }
          keys, additions = self.additions
          [*settings, *schemas, *made, *sequences, *indexes, *keys, *@later, *triggers, *attached, *additions, *comments]
        end

        private

        def first?(object) = Needs::FIRST.include?(object["type"])

        # Bodies of functions speak of what is not there yet.
        def settings
          routines = @things.any? { |thing| Needs::ROUTINES.include?(thing["type"]) }
          routines ? [Statement.new(text: "SET check_function_bodies = off;")] : []
        end

        # Sequences that are not called by the columns that they number.
        def sequences
          @tables.flat_map do |table|
            columns(table).select { |column| column["sequence"] && column["generated"] == Numbering::SERIAL }.map do |column|
              usual = FirstNames.usual_sequence(table, column)
              wanted = SQLName.quote(SQLName.local(column["sequence"]))
              Statement.new(text: "ALTER SEQUENCE #{SQLName.qualified(usual)} RENAME TO #{wanted};", element_id: table.id)
            end
          end
        end

        # Those that names speak of and nobody makes.
        def schemas
          made = @things.select { |thing| thing["type"] == "schema" }.map { |thing| SQLName.local(thing.name) }
          (@things.filter_map { |thing| Needs.parts(thing).first }.uniq - made)
            .map { |name| Statement.new(text: "CREATE SCHEMA IF NOT EXISTS #{SQLName.quote(name)};") }
        end

        def make(thing)
          case thing.kind
          when "table" then [create(thing)]
          when "view" then thing["query"] ? [view(thing)] : []
          else kept(thing)
          end
        end

        # What is kept as SQL may be several statements.
        def kept(element, about = element)
          SQLText.new(element["written"].to_s).pieces.map { |piece| Statement.new(text: "#{piece.text};", element_id: about.id) }
        end

        def attached
          @tables.flat_map do |table|
            Sentences.inheritances(@set, table.id).filter_map do |one|
              text = attached?(table) ? attaching(table, one) : inheriting(table, one)
              Statement.new(text:, element_id: one.id) if text
            end
          end
        end

        def attaching(table, one) = "ALTER TABLE #{name(one.target("parent"))} ATTACH PARTITION #{name(table.id)} #{one["bounds"]};"
        def inheriting(table, one) = one["afterwards"] && "ALTER TABLE #{name(table.id)} INHERIT #{name(one.target("parent"))};"

        # A partition with columns of its own is a table that is attached; one without has those of what it is a part of.
        def attached?(table) = partition(table) && columns(table).any?
        def partition(table) = Sentences.inheritances(@set, table.id).find { |one| one["bounds"] }

        # @return [Array(Array<Statement>, Array<Statement>)] those that foreign keys may need, and the others
        def additions
          found = @things.flat_map do |thing|
            Sentences.additions(@set, thing.id).map { |one| [thing, one, Additions.rank(one["written"].to_s)] }
          end
          found = found.sort_by.with_index { |(_, _, rank), index| [rank, index] }
          found.partition { |_, _, rank| rank.zero? }.map { |part| part.flat_map { |thing, one, _| kept(one, thing) } }
        end

        # @return [Hash{String => String}] by id of the table
        def names
          taken = Hash.new(0)
          @tables.to_h { |table| [table.id, (taken[table.name] += 1) == 1 ? table.name : "#{table.name}_#{taken[table.name]}"] }
        end

        def name(table_id) = SQLName.qualified(@names.fetch(table_id) { @set.element(table_id).name })
        def columns(table) = Tabling.columns(@set, table.id)

        def references(table) =
          Tabling
            .references(@set, table.id)
            .select { |one| one.targets("column").any? && one.targets("key").length == one.targets("column").length }

        def create(table)
          @made << table.id
          columns = columns(table)
          lines = columns.map { |column| column(column) } + key(table) + uniques(table) + checks(table) + foreign_keys(table)
          Statement.new(
            text: "CREATE #{"UNLOGGED " if table["unlogged"]}TABLE #{name(table.id)} #{beginning(table, lines)}#{ending(table)};",
            element_id: table.id,
            parts: [nil, *columns.map(&:id)]
          )
        end

        def beginning(table, lines)
          listed = lines.any? ? "(\n  #{lines.join(",\n  ")}\n)" : "()"
          one = partition(table)
          return listed if one.nil? || attached?(table)

          "PARTITION OF #{name(one.target("parent"))} #{"#{listed} " if lines.any?}#{one["bounds"]}"
        end

        def ending(table)
          parents = Sentences.inheritances(@set, table.id).reject { |one| one["bounds"] || one["afterwards"] }
            .map { |one| name(one.target("parent")) }
          [
            (" INHERITS (#{parents.join(", ")})" if parents.any?), (" PARTITION BY #{table["partitioned"]}" if table["partitioned"]),
            (" #{table["stored"]}" if table["stored"])
          ].join
        end

        def column(column)
          [
            SQLName.quote(column.name),
            Numbering.type(column),
            Numbering.clause(column),
            ("NOT NULL" if column["required"] && !column["key"] && !Numbering::WORDS.include?(column["generated"])),
            ("DEFAULT #{column["default"]}" if column["default"])
          ].compact.join(" ")
        end

        def named(name) = name ? "CONSTRAINT #{SQLName.quote(name)} " : ""

        def key(table)
          key = Tabling.key_columns(@set, table.id)
          key.empty? ? [] : ["#{named(table["key_called"])}PRIMARY KEY (#{list(key)})#{" #{table["key_written"]}" if table["key_written"]}"]
        end

        def list(columns) = columns.map { |column| SQLName.quote(column.name) }.join(", ")
        def constrained(one) = one.targets("column").map { |id| @set.element(id) }

        def uniques(table)
          said = Tabling.constraints(@set, table.id).select { |one| CONSTRAINTS.key?(one["type"]) }
          said.map do |one|
            "#{named(one["called"])}#{CONSTRAINTS.fetch(one["type"])} #{one["as_written"] || "(#{list(constrained(one))})"}#{deferred(one)}"
          end
        end

        def checks(table)
          now, later = Tabling.checks(@set, table.id).select { |one| one["expression"] }.partition { |one| one["validity"].nil? }
          @later += later.map { |one| added(table, one, check(one)) }
          now.map { |one| check(one) }
        end

        def check(one) = "#{named(one["called"])}CHECK (#{one["expression"]})#{" NO INHERIT" if one["inheritance"]}"

        # What is not made with its table: in an ALTER TABLE of its own alone rows may stay unlooked at.
        def added(table, one, text)
          Statement.new(text: "ALTER TABLE #{name(table.id)} ADD #{text}#{" NOT VALID" if one["validity"]};", element_id: one.id)
        end

        def foreign_keys(table)
          now, later = references(table).partition { |one| @made.include?(one.target("to")) && keyed?(one) && one["validity"].nil? }
          @later +=
            later
              .select { |one| @names.key?(one.target("to")) }
              .map { |one| added(table, one, foreign_key(one)) }
          now.map { |one| foreign_key(one) }
        end

        # @return [Boolean] whether what it refers to is unique as soon as the table is made, and not only by what is made later
        def keyed?(reference)
          keys = reference.targets("key").sort
          table = reference.target("to")
          columns(@set.element(table)).select { |column| column["key"] }.map(&:id).sort == keys ||
            Tabling.constraints(@set, table).any? { |one| one["type"] == "unique" && one.targets("column").sort == keys }
        end

        def foreign_key(reference)
          keys = reference.targets("key").map { |id| @set.element(id) }
          "#{named(reference["called"])}FOREIGN KEY (#{list(constrained(reference))}) " \
            "REFERENCES #{name(reference.target("to"))} (#{list(keys)})#{referring(reference)}#{deferred(reference)}"
        end

        def referring(reference)
          actions = { "DELETE" => reference["deleting"], "UPDATE" => reference["updating"] }.compact
          emptied = reference.targets("emptied").map { |id| @set.element(id) }
          "#{" MATCH FULL" if reference["full"]}#{actions.map do |on, action|
            " ON #{on} #{action.upcase}#{" (#{list(emptied)})" if on == "DELETE" && emptied.any?}"
          end.join}"
        end

        def deferred(one) = { "deferrable" => " DEFERRABLE", "initially deferred" => " DEFERRABLE INITIALLY DEFERRED" }[one["deferred"]]

        def indexes
          @tables
            .flat_map { |table| Tabling.constraints(@set, table.id).select { |one| INDEXES.key?(one["type"]) } }
            .map { |one| Statement.new(text: index(one), element_id: one.id) }
        end

        def index(one)
          called = "#{SQLName.quote(one["called"])} " if one["called"]
          "#{INDEXES.fetch(one["type"])} #{called}ON #{name(one.target("table"))} #{one["as_written"] || "(#{list(constrained(one))})"};"
        end

        def triggers
          @tables
            .flat_map { |table| Tabling.minimums(@set, table.id) }
            .select { |one| @names.key?(one.target("of")) }
            .flat_map do |minimum|
              reference =
                Tabling
                  .references(@set, minimum.target("of"))
                  .find { |one| one.targets("column") == minimum.targets("column") && one.targets("key").any? } or next []
              Trigger.new(@set, minimum, reference, method(:name)).statements.map { |text| Statement.new(text:, element_id: minimum.id) }
            end
        end

        def view(view)
          words = ["CREATE", ("MATERIALIZED" if view["materialised"]), "VIEW", SQLName.qualified(view.name), view["heading"], "AS"]
          query = view["query"].strip.delete_suffix(";")
          Statement.new(text: "#{words.compact.join(" ")} #{query}#{" #{view["ending"]}" if view["ending"]};", element_id: view.id)
        end

        def comments
          view_comments +
            @tables.flat_map do |table|
              [
                comment("TABLE #{name(table.id)}", table),
                *columns(table).map { |column| comment("COLUMN #{name(table.id)}.#{SQLName.quote(column.name)}", column) }
              ].compact
            end
        end

        def view_comments
          @things.select { |thing| thing.kind == "view" && thing["query"] }.filter_map do |view|
            comment("#{"MATERIALIZED " if view["materialised"]}VIEW #{SQLName.qualified(view.name)}", view)
          end
        end

        def comment(what, element)
          element["meaning"] && Statement.new(text: "COMMENT ON #{what} IS #{SQLName.text(element["meaning"])};", element_id: element.id)
        end
      end
    end
  end
end
