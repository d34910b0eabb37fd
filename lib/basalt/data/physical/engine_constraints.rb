# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The keys, constraints and indexes of a table for another engine than PostgreSQL.
      class EngineConstraints
        # @param script [EngineScript]
        def initialize(script, table)
          @script = script
          @set = script.set
          @engine = script.engine
          @table = table
        end

        # @return [String, nil]
        def key
          key = Tabling.key_columns(@set, @table.id)
          return if key.empty? || (@engine.key_at_column? && key.one? && EngineColumns.new(@script, @table).itself?(key.first))

          lose("of the key of #{@table.name}: #{@table["key_written"]}") if @table["key_written"]
          "PRIMARY KEY (#{list(key)})"
        end

        # @return [Array<String>]
        def uniques
          Tabling.constraints(@set, @table.id).select { |one| Definitions::CONSTRAINTS.key?(one["type"]) }.filter_map do |one|
            lose("#{@table.name}: #{one["type"]} #{one["as_written"]}") if one["as_written"]
            "#{named(one)}UNIQUE (#{list(constrained(one))})" unless one["type"] == "exclusion"
          end
        end

        # @return [Array<String>]
        def checks
          Tabling.checks(@set, @table.id).filter_map do |one|
            next lose("#{@table.name}: CHECK (#{one["expression"]})") && nil if counted?(one)

            said = one["expression"] && @script.expression(one, one["expression"])
            "#{named(one)}CHECK (#{said})" if said
          end
        end

        # @return [Array<Array(Model::Element, String)>] each reference with what it says
        def references
          said = Tabling.references(@set, @table.id).select { |one| one.targets("column").any? && one.targets("key").any? }
          said.select { |one| keyed?(one) }.map do |one|
            keys = list(one.targets("key").map { |id| @set.element(id) })
            target = @script.name(@set.element(one.target("to")))
            [one, "#{referring_name(one)}FOREIGN KEY (#{list(constrained(one))}) REFERENCES #{target} (#{keys})#{acting(one)}"]
          end
        end

        # @return [Array<Array(Model::Element, String)>] each index with the statement that makes it
        def indexes
          Tabling.constraints(@set, @table.id).select { |one| Definitions::INDEXES.key?(one["type"]) }.filter_map do |one|
            parts = parts(one) or next
            title = @engine.quote(one["called"] || Naming.usual_of(@set, @table, one))
            [one, "#{Definitions::INDEXES.fetch(one["type"])} #{title} ON #{@script.name(@table)} #{parts};"]
          end
        end

        private

        # @return [Boolean] whether a check speaks of what the engine does not let it speak of
        def counted?(check)
          return false if @engine.checks_numbers?

          columns = EngineColumns.new(@script, @table)
          numbers = columns.all.select { |one| columns.itself?(one) }.map(&:name)
          (Respelling.checked(check) & numbers).any?
        end

        # What is no key, or only by what is kept as SQL, cannot be referred to.
        def keyed?(one)
          keys = one.targets("key").sort
          target = one.target("to")
          return true if Tabling.key_columns(@set, target).map(&:id).sort == keys
          return true if Tabling.constraints(@set, target).any? { |other| Tabling.unique?(other) && other.targets("column").sort == keys }

          lose("#{@table.name} refers to what is no key there: #{@set.element(target).name}")
          false
        end

        def lose(words) = @script.lose(@table, words)
        def list(columns) = columns.map { |one| @engine.quote(one.name) }.join(", ")
        def constrained(one) = one.targets("column").map { |id| @set.element(id) }
        def named(one) = one["called"] ? "CONSTRAINT #{@engine.quote(one["called"])} " : ""

        # Where references of all tables have one list of names, those of one name have none.
        def referring_name(one)
          return named(one) if one["called"].nil? || @engine.names_by_table? || @script.only?(one)

          lose("#{@table.name}: the name #{one["called"]}, which another table has too")
          ""
        end

        def acting(one)
          lose("#{@table.name}: deleting empties only some columns") if one.targets("emptied").any?
          lose("#{@table.name}: MATCH FULL") if one["full"] && !@engine.holds?(:match)
          actions = { "DELETE" => one["deleting"], "UPDATE" => one["updating"] }.compact
          actions.map { |on, action| " ON #{on} #{@engine.acting(action.upcase)}" }.join + deferred(one)
        end

        def deferred(one)
          said = Definitions::DEFERRED[one["deferred"]] or return ""
          return said if @engine.holds?(:deferrable)

          lose("#{@table.name}: a reference is looked at at once")
          ""
        end

        def parts(one)
          return "(#{list(constrained(one))})" unless one["as_written"]

          IndexInWords.new(@engine, AsWritten.read(one["type"], one["as_written"])).text
        rescue Expression::Unsaid => e
          lose("#{@table.name}: an index #{one["as_written"]}; #{e.message}")
          nil
        end
      end
    end
  end
end
