# frozen_string_literal: true

require "zlib"

module Basalt
  module Data
    module Physical
      # Statements that are not modelled: kept as the SQL that they are, as things of their own where they make something, and behind what
      # they are about where they do not.
      class Keeping
        # What makes something, with the noun of it and how it is called.
        MAKING = {
          create_enum_stmt: [Kinds::ENUMERATION, ->(made) { strings(made.type_name) }],
          create_domain_stmt: ["domain", ->(made) { strings(made.domainname) }],
          composite_type_stmt: ["composite type", ->(made) { [made.typevar.schemaname, made.typevar.relname].reject(&:empty?) }],
          create_range_stmt: ["range type", ->(made) { strings(made.type_name) }],
          create_schema_stmt: ["schema", ->(made) { [made.schemaname] }],
          create_extension_stmt: ["extension", ->(made) { [made.extname] }],
          create_table_as_stmt: [Kinds::OBJECT, ->(made) { [made.into.rel.schemaname, made.into.rel.relname].reject(&:empty?) }],
          create_stmt: [Kinds::OBJECT, ->(made) { [made.relation.schemaname, made.relation.relname].reject(&:empty?) }],
          view_stmt: [Kinds::OBJECT, ->(made) { [made.view.schemaname, made.view.relname].reject(&:empty?) }],
          create_foreign_table_stmt: [
            Kinds::OBJECT, ->(made) { [made.base_stmt.relation.schemaname, made.base_stmt.relation.relname].reject(&:empty?) }
          ]
        }.freeze
        DEFINED = { OBJECT_AGGREGATE: "aggregate" }.freeze
        LONGEST = 160

        def self.strings(nodes) = nodes.map { |node| node.string.sval }

        # @return [Boolean] whether SQL adds a constraint, a trigger or a rule of that name
        def self.adds?(sql, name)
          statement = PostgresParser.parse(sql).tree.stmts.first&.stmt or return false
          case statement.node
          when :alter_table_stmt then statement.alter_table_stmt.cmds.any? { |one| one.alter_table_cmd.def&.constraint&.conname == name }
          when :create_trig_stmt then statement.create_trig_stmt.trigname == name
          when :rule_stmt then statement.rule_stmt.rulename == name
          when :create_policy_stmt then statement.create_policy_stmt.policy_name == name
          when :index_stmt then statement.index_stmt.idxname == name
          when :create_stats_stmt then strings(statement.create_stats_stmt.defnames).last == name
          else false
          end
        end

        def initialize(reading)
          @reading = reading
        end

        # @param node [PgQuery::Node]
        # @return [true]
        def take(node)
          made = node.inner
          type, name = made_by(node)
          return keep(type, name) if type
          return enumerate(made) if made.is_a?(PgQuery::AlterEnumStmt)

          owner = About.new(@reading).of(made)
          owner ? @reading.add(owner) : keep(Kinds::OBJECT, first_words)
        end

        private

        def made_by(node)
          made = node.inner
          type, names = MAKING[node.node]
          return [type, fresh(names.call(made))] if type

          case node.node
          when :create_function_stmt then [made.is_procedure ? "procedure" : "function", routine(made.funcname, made.parameters)]
          when :define_stmt then defined(made)
          end
        end

        def defined(made)
          args = made.args.first&.list&.items.to_a.map(&:function_parameter).compact
          args = made.args.filter_map(&:function_parameter) if args.empty?
          type = DEFINED.fetch(made.kind, Kinds::OBJECT)
          return [type, routine(made.defnames, args)] if type == "aggregate"

          sides = made.kind == :OBJECT_OPERATOR ? Routines.sides(made.definition) : nil
          [type, fresh(self.class.strings(made.defnames), sides)]
        end

        def routine(names, parameters) = fresh(self.class.strings(names), Routines.arguments(parameters))
        def fresh(names, suffix = nil) = short(@reading.fresh(names.length > 1 ? names[-2] : "", names.last) + suffix.to_s)
        def short(name) = name.length > Model::Names::LIMIT ? "#{name[0, LONGEST]}… #{format("%08x", Zlib.crc32(name))}" : name

        def keep(type, name)
          @reading.keep(type, name)
          @reading.tell(nil, kept: true)
          true
        end

        # A value more or by another name is one of those that are listed.
        def enumerate(made)
          object = @reading.called(self.class.strings(made.type_name))
          values = object && Enumeration.values(object["written"].to_s)
          raise Mistake, "the script makes no type #{self.class.strings(made.type_name).last}" unless object
          # What was written before speaks of a value by the name that it had.
          return @reading.add(object) if values.nil? || !made.old_val.empty?

          @reading.set(object, "written", Enumeration.written(object.name, Enumeration.altered(values, made)))
          true
        end

        # A point in these stands before no name.
        def first_words = SQLName.of(nil, short(@reading.piece.text.gsub(/[[:cntrl:]\s"]+/, " ")))
      end
    end
  end
end
