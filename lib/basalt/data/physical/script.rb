# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # SQL for PostgreSQL (ISO/IEC 9075-2 where it suffices) that makes the tables of a model, in
      # an order that loads: what is referred to comes first, and circles are closed afterwards.
      class Script
        CONSTRAINTS = { "unique" => "UNIQUE", "exclusion" => "EXCLUDE" }.freeze
        INDEXES = { "index" => "CREATE INDEX", "unique index" => "CREATE UNIQUE INDEX" }.freeze

        # A statement, the id of the element that it is about, and for each of its lines the id of
        # the part that it is about.
        Statement = Value.of(:text, :element_id, :parts)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param things [Array<Model::Element>, nil] tables and views; nil for all
        def initialize(set, things = nil)
          @set = set
          @tables, @views = (things || set.of_kind("table", "view")).partition { |thing| thing.kind == "table" }
          @names = names
        end

        # @return [String]
        def text = "#{statements.map(&:text).join("\n\n")}\n"

        # @return [Array<Statement>]
        def statements
          @later = []
          made = []
          tables =
            order.map do |table|
              made << table.id
              create(table, made)
            end
          tables + indexes + @later + triggers + views + comments
        end

        private

        # @return [Hash{String => String}] by id of the table
        def names
          taken = Hash.new(0)
          @tables.to_h { |table| [table.id, (taken[table.name] += 1) == 1 ? table.name : "#{table.name}_#{taken[table.name]}"] }
        end

        def name(table_id) = SQLName.quote(@names.fetch(table_id) { @set.element(table_id).name })
        def columns(table) = Tabling.columns(@set, table.id)

        def references(table) =
          Tabling
            .references(@set, table.id)
            .select { |one| one.targets("column").any? && one.targets("key").length == one.targets("column").length }

        # Depth first over what is referred to; a circle is entered wherever it is met.
        def order
          done = {}
          found = []
          @tables.each { |table| visit(table, done, found) }
          found
        end

        def visit(table, done, found)
          stack = [[table, nil]]
          until stack.empty?
            here, targets = stack.last
            targets = stack.last[1] = begin_visit(here, done) if targets.nil?
            following = targets.shift
            next stack.push([following, nil]) if following && !done.key?(following.id)

            next if following

            found << here unless done[here.id] == :listed
            done[here.id] = :listed
            stack.pop
          end
        end

        def begin_visit(table, done)
          return [] if done.key?(table.id)

          done[table.id] = :open
          ids = @tables.to_h { |one| [one.id, one] }
          references(table).filter_map { |one| ids[one.target("to")] }
        end

        def create(table, made)
          columns = columns(table)
          lines = columns.map { |column| column(column) } + key(table) + uniques(table) + checks(table) + foreign_keys(table, made)
          Statement.new(
            text: "CREATE TABLE #{name(table.id)} (#{"\n  #{lines.join(",\n  ")}\n" if lines.any?});",
            element_id: table.id,
            parts: [nil, *columns.map(&:id)]
          )
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
          key.empty? ? [] : ["#{named(table["key_called"])}PRIMARY KEY (#{list(key)})"]
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

        def foreign_keys(table, made)
          now, later = references(table).partition { |one| made.include?(one.target("to")) && keyed?(one) && one["validity"].nil? }
          @later +=
            later
              .select { |one| @names.key?(one.target("to")) }
              .map { |one| added(table, one, foreign_key(one)) }
          now.map { |one| foreign_key(one) }
        end

        # @return [Boolean] whether what it refers to is unique as soon as the table is made, and not only by an index
        def keyed?(reference)
          keys = reference.targets("key").sort
          key = columns(@set.element(reference.target("to"))).select { |column| column["key"] }
          key.map(&:id).sort == keys ||
            Tabling
              .constraints(@set, reference.target("to"))
              .none? { |one| one["type"] == "unique index" && one.targets("column").sort == keys }
        end

        def foreign_key(reference)
          keys = reference.targets("key").map { |id| @set.element(id) }
          "#{named(reference["called"])}FOREIGN KEY (#{list(constrained(reference))}) " \
            "REFERENCES #{name(reference.target("to"))} (#{list(keys)})#{referring(reference)}#{deferred(reference)}"
        end

        def referring(reference)
          actions = { "DELETE" => reference["deleting"], "UPDATE" => reference["updating"] }.compact
          "#{" MATCH FULL" if reference["full"]}#{actions.map { |on, action| " ON #{on} #{action.upcase}" }.join}"
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

        def views = @views.select { |view| view["query"] }.map { |view| view(view) }

        def view(view) =
          Statement.new(
            text: "CREATE VIEW #{SQLName.quote(view.name)} AS #{view["query"].strip.delete_suffix(";")};",
            element_id: view.id
          )

        def comments
          view_comments +
            @tables.flat_map do |table|
              [
                comment("TABLE #{name(table.id)}", table),
                *columns(table).map { |column| comment("COLUMN #{name(table.id)}.#{SQLName.quote(column.name)}", column) }
              ].compact
            end
        end

        def view_comments = @views.filter_map { |view| view["query"] && comment("VIEW #{SQLName.quote(view.name)}", view) }

        def comment(what, element)
          element["meaning"] && Statement.new(text: "COMMENT ON #{what} IS #{SQLName.text(element["meaning"])};", element_id: element.id)
        end
      end
    end
  end
end
