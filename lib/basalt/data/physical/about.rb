# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a statement is about that makes nothing by itself.
      class About
        # Where statements name the table, the view or another relation.
        RELATIONS = %i[relation sequence table].freeze
        # Parts of tables that statements name behind them.
        PARTS = %i[OBJECT_TRIGGER OBJECT_RULE OBJECT_POLICY OBJECT_TABCONSTRAINT].freeze

        def initialize(reading)
          @reading = reading
        end

        # @param made [Google::Protobuf::MessageExts] a statement
        # @return [Model::Element, nil] nil where it is about nothing that is known
        # @raise [Mistake] where it is about something that the script does not make
        def of(made)
          relation = RELATIONS.lazy.filter_map { |field| made[field.to_s] if made.respond_to?(field) }.find { |one| one.is_a?(PgQuery::RangeVar) }
          return @reading.thing(relation) || @reading.numbered(@reading.names(relation)) || missing(relation.relname) if relation
          return of_statistics(made) if made.is_a?(PgQuery::CreateStatsStmt)
          return behind(Keeping.strings(made.defnames).last) if made.is_a?(PgQuery::AlterStatsStmt)

          named(made)
        end

        # @param kind [Symbol] what PostgreSQL's parser calls the type of the object
        def object(kind, node)
          return routine(node.object_with_args) if node&.object_with_args
          return @reading.called(Keeping.strings(node.type_name.names)) if node&.type_name
          return outside(kind, node.string.sval) if node&.string

          items = node&.list&.items.to_a
          typed = items.first&.type_name
          return @reading.called(Keeping.strings(typed.names)) if typed

          listed(kind, items.filter_map { |one| one.string&.sval })
        end

        private

        def missing(name) = raise(Mistake, "#{name} is not made by the script")

        def of_statistics(made) = made.relations.filter_map { |one| one.range_var && @reading.thing(one.range_var) }.first

        def named(made)
          return by_names(made.type_name) if made.respond_to?(:type_name) && made.type_name.is_a?(Google::Protobuf::RepeatedField)
          return routine(made.func) if made.is_a?(PgQuery::AlterFunctionStmt)
          return object(made.objtype, made.object) if made.is_a?(PgQuery::CommentStmt) || made.is_a?(PgQuery::SecLabelStmt)

          object(made.object_type, made.object) if made.respond_to?(:object_type) && made.respond_to?(:object)
        end

        def by_names(nodes) = Keeping.strings(nodes).then { |names| @reading.called(names) || missing(names.last) }

        # Comments on what a script does not make, as on the database itself, stand on their own.
        def outside(kind, name)
          type = { OBJECT_SCHEMA: "schema", OBJECT_EXTENSION: "extension" }[kind]
          @reading.draft.named(name).find { |one| one.kind == Kinds::OBJECT && one["type"] == type }
        end

        def listed(kind, names)
          return @reading.called(names[0..-2]) || missing(names[-2]) if PARTS.include?(kind)

          case kind
          when :OBJECT_INDEX then @reading.indexed(names)&.first || behind(names.last)
          when :OBJECT_STATISTIC_EXT then behind(names.last)
          else @reading.called(names) || (kind == :OBJECT_SEQUENCE ? @reading.numbered(names) : nil)
          end
        end

        # What a table, a view or another object has behind it under that name.
        def behind(name)
          made = @reading.draft.of_kind("addition").find { |one| Keeping.adds?(one["written"], name) } or return
          @reading.draft.element(made.owner_id)
        end

        def routine(named)
          names = Keeping.strings(named.objname)
          found = Routines.of(named)
          schema = names.length > 1 ? names[-2] : ""
          return @reading.named(schema, names.last + found) || by_name(names.last) if found

          by_name(names.last)
        end

        def by_name(name)
          @reading.draft.of_kind(Kinds::OBJECT).select { |one| Needs::ROUTINES.include?(one["type"]) && Needs.bare(one) == name }
            .then { |found| found.first if found.one? }
        end
      end
    end
  end
end
