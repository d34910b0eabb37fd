# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The tables of a model for another engine than PostgreSQL, and what of the model that engine cannot hold.
      class EngineScript
        # What is lost of an element, in words.
        Loss = Value.of(:element_id, :words)
        # Kinds of objects that are told where they are used.
        USED = [Kinds::ENUMERATION, "domain", "schema"].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param things [Array<Model::Element>, nil] tables, views and other objects; nil for all
        # @param engine [Engine]
        # @param types [Hash{String => String}] types that are agreed on instead of the engine's own
        def initialize(set, things, engine, types = {})
          @set = set
          @engine = engine
          @types = types
          @things = (things || set.of_kind("table", "view", Kinds::OBJECT)).sort_by { |one| one.ordinal || 0 }
          @objects = set.of_kind(Kinds::OBJECT).to_h { |one| [one.name, one] }
          @losses = []
        end

        attr_reader :set, :engine, :types

        # @return [String]
        def text = "#{statements.map(&:text).join("\n\n")}\n"

        # @return [Array<Script::Statement>]
        def statements
          @statements ||= begin
            @later = []
            @made = Set.new
            tables = tables_in_order
            made = tables.map { |table| create(table) }
            tell_rest
            @engine.opening.map { |text| say(text) } + schemas + made + tables.flat_map { |table| indexes(table) } + @later + views
          end
        end

        # @return [Array<Loss>] what the engine cannot hold
        def losses = statements && @losses.uniq

        # For what it is made of: {EngineColumns} and {EngineConstraints}.
        def lose(element, words) = @losses << Loss.new(element_id: element.id, words:)
        def object(name) = @objects[name]

        # @return [Boolean] whether no other reference is called so
        def only?(reference)
          @called ||= @set.of_kind("reference").filter_map { |one| one["called"] }.tally
          @called[reference["called"]] == 1
        end

        # Where there are no schemas their names stand before those of tables.
        def name(thing) = name_of(*SQLName.parts(thing.name))

        # @return [String, nil] nil where the engine cannot say it
        def expression(element, sql, value: nil)
          Expression.new(@engine, value:).of(sql)
        rescue Expression::Unsaid => e
          lose(element, "#{element.name || "a check"}: #{Model::Names.short(sql, 80)}; #{e.message}")
          nil
        end

        # @return [String, nil] what an element means, where the engine keeps that
        def comment(element)
          return unless element["meaning"]
          return lose(element, "what #{element.name} means") && nil unless @engine.holds?(:comments)

          "COMMENT #{"= " if element.kind == "table"}#{@engine.text(element["meaning"])}"
        end

        private

        def say(text, element_id = nil) = Script::Statement.new(text:, element_id:)

        def name_of(schema, local)
          parts = [schema, local].compact
          @engine.schemas? ? parts.map { |one| @engine.quote(one) }.join(".") : @engine.quote(parts.join("_"))
        end

        def schemas
          return [] unless @engine.schemas?

          @things.filter_map { |one| Needs.parts(one).first }.uniq.map { |name| say("CREATE SCHEMA #{@engine.quote(name)};") }
        end

        # Partitions are parts of one table.
        def tables_in_order
          tables = Needs.new(@set, @things).order.select { |one| one.kind == "table" }
          parts, whole = tables.partition { |table| Sentences.inheritances(@set, table.id).any? { |one| one["bounds"] } }
          parts.each { |table| lose(table, "#{table.name} is a partition; its rows stand in the whole table") }
          empty, whole = whole.partition { |table| EngineColumns.new(self, table).all.empty? }
          empty.each { |table| lose(table, "#{table.name} has no columns") }
          whole.select { |table| table["partitioned"] }.each { |table| lose(table, "#{table.name} is not partitioned") }
          whole
        end

        def create(table)
          @made << table.id
          tell_facts(table)
          columns = EngineColumns.new(self, table)
          said = columns.all.map { |column| [column.id, *columns.say(column)] }
          constraints = EngineConstraints.new(self, table)
          lines = said.map { |_, line, _| line } + [*constraints.key] + said.filter_map(&:last) + constraints.uniques + constraints.checks +
                  references(table, constraints)
          ending = [@engine.ending, comment(table)].compact.map { |words| " #{words}" }.join
          text = "CREATE TABLE #{name(table)} (\n  #{lines.join(",\n  ")}\n)#{ending};"
          Script::Statement.new(text:, element_id: table.id, parts: [nil, *said.map(&:first)])
        end

        # One to a table that is made later is added behind it, where the engine lets that be.
        def references(table, constraints)
          now, later = constraints.references.partition { |one, _| @made.include?(one.target("to")) || @engine.refers_ahead? }
          @later += later.map { |one, text| say("ALTER TABLE #{name(table)} ADD #{text};", one.id) }
          now.map(&:last)
        end

        # The standard knows none.
        def indexes(table)
          @engine.holds?(:indexes) ? EngineConstraints.new(self, table).indexes.map { |one, text| say(text, one.id) } : []
        end

        def views
          @things.select { |one| one.kind == "view" && one["query"] }.filter_map do |view|
            lose(view, "#{view.name} is worked out whenever it is asked for") if view["materialised"]
            query = QueryInWords.new(@engine, ->(schema, local) { name_of(home(schema), local) }).of(view["query"])
            say("CREATE VIEW #{[name(view), *titles(view)].join(" ")} AS #{query};", view.id)
          rescue Expression::Unsaid => e
            lose(view, "the view #{view.name}; #{e.message}") && nil
          end
        end

        # What its columns are called, where that is said.
        def titles(view)
          names = view["heading"].to_s[/\A\((.*?)\)/, 1] or return
          "(#{names.split(/,\s*/).map { |one| @engine.quote(Words.plain(one)) }.join(", ")})"
        end

        def home(schema) = schema.empty? || schema == Reading::USUAL ? nil : schema

        # Functions, triggers and what else is kept as PostgreSQL's SQL.
        def tell_rest
          objects = @things.select { |one| one.kind == Kinds::OBJECT && !USED.include?(one["type"]) }
          objects.each { |one| lose(one, "the #{one.noun} #{one.name}") }
          @things.each do |thing|
            Sentences.additions(@set, thing.id).each { |one| lose(thing, "#{thing.name}: #{Model::Names.short(one["written"].to_s, 80)}") }
          end
        end

        def tell_facts(table)
          lose(table, "#{table.name} is kept like any other") if table["unlogged"]
          lose(table, "#{table.name}: #{table["stored"]}") if table["stored"]
          Tabling.minimums(@set, table.id).each { |one| lose(table, "each row of #{table.name} needs #{one["least"]} of another table") }
        end
      end
    end
  end
end
