# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # SQL for PostgreSQL (ISO/IEC 9075-2 where it suffices) that makes the tables of a model and what else the database holds, in an
      # order that loads: what something needs comes first, and circles are closed afterwards.
      class Script
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
          @ids = @tables.to_set(&:id)
          @definitions = Definitions.new(set, names)
        end

        # @return [Array<Model::Element>] what it makes
        attr_reader :things

        # @return [String]
        def text = "#{statements.map(&:text).join("\n\n")}\n"

        # @return [Array<Statement>]
        def statements
          @later = []
          @made = Set.new
          made = Needs.new(@set, @things).order.flat_map { |thing| make(thing) }
          keys, additions = self.additions
          [*settings, *schemas, *made, *sequences, *indexes, *keys, *@later, *triggers, *attached, *additions, *comments]
        end

        private

        def first?(object) = Needs::FIRST.include?(object["type"])
        def say(text, element_id = nil) = Statement.new(text:, element_id:)

        # @return [Hash{String => String}] by id of the table
        def names
          taken = Hash.new(0)
          @tables.to_h { |table| [table.id, (taken[table.name] += 1) == 1 ? table.name : "#{table.name}_#{taken[table.name]}"] }
        end

        # Bodies of functions speak of what is not there yet.
        def settings
          @things.any? { |thing| Needs::ROUTINES.include?(thing["type"]) } ? [say("SET check_function_bodies = off;")] : []
        end

        # Those that names speak of and nobody makes.
        def schemas
          made = @things.select { |thing| thing["type"] == "schema" }.map { |thing| SQLName.local(thing.name) }
          (@things.filter_map { |thing| Needs.parts(thing).first }.uniq - made)
            .map { |name| say("CREATE SCHEMA IF NOT EXISTS #{SQLName.quote(name)};") }
        end

        def make(thing)
          case thing.kind
          when "table" then [create(thing)]
          when "view" then thing["query"] ? [say(@definitions.view(thing), thing.id)] : []
          else kept(thing)
          end
        end

        def create(table)
          @made << table.id
          columns = @definitions.columns(table)
          lines = columns.map { |column| @definitions.column(column) } + [*@definitions.key(table)] +
                  @definitions.uniques(table).map { |one| @definitions.unique(one) } + checks(table) + foreign_keys(table)
          Statement.new(text: @definitions.table(table, lines), element_id: table.id, parts: [nil, *columns.map(&:id)])
        end

        def checks(table)
          now, later = @definitions.checks(table).partition { |one| one["validity"].nil? }
          @later += later.map { |one| say(@definitions.added(table.id, @definitions.check(one), one["validity"]), one.id) }
          now.map { |one| @definitions.check(one) }
        end

        def foreign_keys(table)
          known = @definitions.references(table).select { |one| @ids.include?(one.target("to")) }
          now, later = known.partition { |one| @made.include?(one.target("to")) && keyed?(one) && one["validity"].nil? }
          @later += later.map { |one| say(@definitions.added(table.id, @definitions.foreign_key(one), one["validity"]), one.id) }
          now.map { |one| @definitions.foreign_key(one) }
        end

        # @return [Boolean] whether what it refers to is unique as soon as the table is made, and not only by what is made later
        def keyed?(reference)
          keys = reference.targets("key").sort
          table = reference.target("to")
          Tabling.columns(@set, table).select { |column| column["key"] }.map(&:id).sort == keys ||
            Tabling.constraints(@set, table).any? { |one| one["type"] == "unique" && one.targets("column").sort == keys }
        end

        # What is kept as SQL may be several statements.
        def kept(element, about = element) = SQLText.new(element["written"].to_s).pieces.map { |piece| say("#{piece.text};", about.id) }

        # Sequences that are not called by the columns that they number.
        def sequences
          columns = @tables.flat_map { |table| Tabling.columns(@set, table.id) }
          columns.select { |column| column["sequence"] && column["generated"] == Numbering::SERIAL }.map do |column|
            usual = SQLName.qualified(FirstNames.usual_sequence(@set.element(column.owner_id), column))
            say("ALTER SEQUENCE #{usual} RENAME TO #{SQLName.quote(SQLName.local(column["sequence"]))};", column.owner_id)
          end
        end

        def indexes = @tables.flat_map { |table| @definitions.indexes(table) }.map { |one| say(@definitions.index(one), one.id) }

        def attached
          joined = @tables.flat_map { |table| Sentences.inheritances(@set, table.id) }
          joined.filter_map { |one| @definitions.joining(one)&.then { |text| say(text, one.id) } }
        end

        # @return [Array(Array<Statement>, Array<Statement>)] those that foreign keys may need, and the others
        def additions
          found = @things.flat_map do |thing|
            Sentences.additions(@set, thing.id).map { |one| [thing, one, Additions.rank(one["written"].to_s)] }
          end
          found = found.sort_by.with_index { |(_, _, rank), index| [rank, index] }
          found.partition { |_, _, rank| rank.zero? }.map { |part| part.flat_map { |thing, one, _| kept(one, thing) } }
        end

        def triggers
          minimums = @tables.flat_map { |table| Tabling.minimums(@set, table.id) }
          minimums.select { |one| @ids.include?(one.target("of")) }
            .flat_map { |one| Trigger.of(@set, one, @definitions).map { |text| say(text, one.id) } }
        end

        def comments
          views, = @things.partition { |thing| thing.kind == "view" && thing["query"] }
          (views + @tables).flat_map { |thing| @definitions.commented(thing) }
            .select { |_, element| element["meaning"] }
            .map { |what, element| say(@definitions.comment(what, element["meaning"]), element.id) }
        end
      end
    end
  end
end
