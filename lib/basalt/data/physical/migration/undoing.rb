# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # What takes away again what a statement made.
        module Undoing
          # By the type of an object.
          WORDS = {
            "schema" => "SCHEMA", "extension" => "EXTENSION", "enumeration" => "TYPE", "domain" => "DOMAIN", "composite type" => "TYPE",
            "range type" => "TYPE", "sequence" => "SEQUENCE", "function" => "FUNCTION", "procedure" => "PROCEDURE",
            "aggregate" => "AGGREGATE"
          }.freeze
          # Of commands of ALTER TABLE, with what takes them back.
          ALTERED = {
            AT_EnableRowSecurity: "DISABLE ROW LEVEL SECURITY", AT_ForceRowSecurity: "NO FORCE ROW LEVEL SECURITY",
            AT_ReplicaIdentity: "REPLICA IDENTITY DEFAULT", AT_ClusterOn: "SET WITHOUT CLUSTER"
          }.freeze
          OF_COLUMNS = {
            AT_SetStatistics: "SET STATISTICS -1", AT_SetCompression: "SET COMPRESSION DEFAULT", AT_ColumnDefault: "DROP DEFAULT",
            AT_SetNotNull: "DROP NOT NULL"
          }.freeze
          MADE = { create_table_as_stmt: "TABLE", create_stmt: "TABLE", create_foreign_table_stmt: "FOREIGN TABLE" }.freeze

          # What CREATE with a list of definitions makes.
          DEFINED = {
            OBJECT_COLLATION: "COLLATION", OBJECT_TSCONFIGURATION: "TEXT SEARCH CONFIGURATION",
            OBJECT_TSDICTIONARY: "TEXT SEARCH DICTIONARY",
            OBJECT_TSPARSER: "TEXT SEARCH PARSER", OBJECT_TSTEMPLATE: "TEXT SEARCH TEMPLATE", OBJECT_TYPE: "TYPE"
          }.freeze
          # Of what is one of the whole database, the word and the field with its name.
          WHOLE = {
            create_event_trig_stmt: ["EVENT TRIGGER", :trigname], create_publication_stmt: ["PUBLICATION", :pubname],
            create_subscription_stmt: ["SUBSCRIPTION", :subname], create_fdw_stmt: ["FOREIGN DATA WRAPPER", :fdwname],
            create_foreign_server_stmt: ["SERVER", :servername]
          }.freeze

          module_function

          # @param object [Model::Element]
          # @return [String, nil] nil where that is not known
          def object(object)
            word = WORDS[object["type"]] or return of(object["written"], object.name)
            home, name = Needs.parts(object)
            rest = object.name[/\(.*\)\z/m] if Needs::ROUTINES.include?(object["type"])
            "DROP #{word} IF EXISTS #{[home, name].compact.map { |one| SQLName.quote(one) }.join(".")}#{rest};"
          end

          # @param sql [String] one statement
          # @param name [String, nil] of what it makes in the model
          # @return [String, nil] nil where that is not known
          def of(sql, name = nil)
            node = PostgresParser.parse(sql).tree.stmts.first&.stmt or return
            made = node.inner
            case node.node
            when *MADE.keys then "DROP #{MADE[node.node]} #{SQLName.qualified(name)};"
            when :create_trig_stmt then "DROP TRIGGER #{SQLName.quote(made.trigname)} ON #{relation(made.relation)};"
            when :rule_stmt then "DROP RULE #{SQLName.quote(made.rulename)} ON #{relation(made.relation)};"
            when :create_policy_stmt then "DROP POLICY #{SQLName.quote(made.policy_name)} ON #{relation(made.table)};"
            when :create_cast_stmt then "DROP CAST (#{TypeName.of(made.sourcetype).first} AS #{TypeName.of(made.targettype).first});"
            when :define_stmt then defined(made)
            when *WHOLE.keys then WHOLE[node.node].then { |word, field| "DROP #{word} #{SQLName.quote(made[field.to_s])};" }
            when :create_op_class_stmt then "DROP OPERATOR CLASS #{listed(made.opclassname)} USING #{made.amname};"
            when :create_stats_stmt then "DROP STATISTICS #{listed(made.defnames)};"
            when :index_stmt then index(made)
            when :comment_stmt then comment(made)
            when :alter_table_stmt then altered(made)
            end
          rescue PostgresParser::ParseError
            nil
          end

          def defined(made)
            word = DEFINED[made.kind] and return "DROP #{word} #{listed(made.defnames)};"
            return unless made.kind == :OBJECT_OPERATOR

            sides = made.definition.map(&:def_elem).to_h { |one| [one.defname, one.arg&.type_name] }.values_at("leftarg", "rightarg")
            types = sides.map { |one| one ? TypeName.of(one).first : "NONE" }
            name = made.defnames.map { |one| one.string.sval }
            "DROP OPERATOR #{[*name[0..-2].map { |one| SQLName.quote(one) }, name.last].join(".")} (#{types.join(", ")});"
          end

          def relation(one) = [one.schemaname, one.relname].reject(&:empty?).map { |part| SQLName.quote(part) }.join(".")
          def listed(nodes) = nodes.map { |one| SQLName.quote(one.string.sval) }.join(".")

          # An index stands in the schema of its table.
          def index(made)
            return if made.idxname.empty?

            "DROP INDEX #{[made.relation.schemaname, made.idxname].reject(&:empty?).map { |part| SQLName.quote(part) }.join(".")};"
          end

          def comment(made)
            bare = made.dup
            bare.comment = ""
            "#{PostgresParser.deparse_stmt(bare).sub(/\bIS\s+(?:''|NULL)\z/, "IS NULL")};"
          end

          def altered(made)
            return unless made.cmds.one?

            command = made.cmds.first.alter_table_cmd
            words = ALTERED[command.subtype] || of_column(command) || options(command) || constraint(command)
            words && "ALTER TABLE #{relation(made.relation)} #{words};"
          end

          def of_column(command)
            words = OF_COLUMNS[command.subtype] or return
            "ALTER COLUMN #{SQLName.quote(command.name)} #{words}"
          end

          def options(command)
            return unless command.subtype == :AT_SetRelOptions

            "RESET (" \
              "#{command.def.list.items.map { |one|
                [one.def_elem.defnamespace, one.def_elem.defname].reject(&:empty?).join(".")
              }.join(", ")})"
          end

          def constraint(command)
            return unless command.subtype == :AT_AddConstraint && !command.def.constraint.conname.empty?

            "DROP CONSTRAINT #{SQLName.quote(command.def.constraint.conname)}"
          end
        end
      end
    end
  end
end
