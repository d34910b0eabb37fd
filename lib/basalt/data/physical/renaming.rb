# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a script calls otherwise later, or moves to another schema.
      class Renaming
        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::RenameStmt, PgQuery::AlterObjectSchemaStmt]
        # @return [Boolean] whether it is modelled
        def take(made)
          return move(made) if made.is_a?(PgQuery::AlterObjectSchemaStmt)

          case made.rename_type
          when :OBJECT_COLUMN, :OBJECT_ATTRIBUTE then column(made)
          when :OBJECT_TABCONSTRAINT then constraint(made)
          when :OBJECT_INDEX then index(made)
          when :OBJECT_SEQUENCE then sequence(made)
          when :OBJECT_SCHEMA then schema(made)
          when :OBJECT_TRIGGER, :OBJECT_RULE, :OBJECT_POLICY then false
          else thing(made)
          end
        end

        private

        def draft = @reading.draft

        def found(made) = made.relation ? @reading.thing(made.relation) : About.new(@reading).object(made.rename_type, made.object)

        def thing(made)
          known = found(made)
          return true if known.nil? && made.missing_ok

          raise Mistake, "what is renamed to #{made.newname} is not made by the script" unless known

          FirstNames.keep(draft, known) if known.kind == "table"
          call(known, SQLName.of(Needs.parts(known).first, made.newname))
          FirstNames.settle(draft, draft.element(known.id)) if known.kind == "table"
          true
        end

        # With its arguments, where it has some.
        def call(known, name)
          rest = known.name[/\(.*\)\z/m] if Needs::ROUTINES.include?(known["type"])
          Mentions.follow(draft, known, "#{name}#{rest}")
          @reading.set(known, "name", "#{name}#{rest}")
          true
        end

        def move(made)
          known = made.relation ? @reading.thing(made.relation) : About.new(@reading).object(made.object_type, made.object)
          raise Mistake, "what goes to #{made.newschema} is not made by the script" unless known

          call(known, SQLName.of(made.newschema == Reading::USUAL ? nil : made.newschema, Needs.bare(known)))
        end

        def column(made)
          table = @reading.thing(made.relation) or raise Mistake, "#{made.relation.relname} is not made by the script"
          return @reading.add(table) unless table.kind == "table"

          FirstNames.keep(draft, table)
          @reading.set(Tabling.column!(draft, table, made.subname), "name", made.newname)
          Respelling.follow(draft, table.id, { made.subname => made.newname })
          FirstNames.settle(draft, table)
          true
        end

        def constraint(made)
          table = @reading.table!(made.relation)
          known = Naming.constraint(draft, table, made.subname)
          return @reading.set(known, "called", made.newname) || true if known
          return @reading.set(table, "key_called", made.newname) || true if Naming.key(table) == made.subname

          @reading.add(table)
        end

        def index(made)
          table, known = @reading.indexed(@reading.names(made.relation))
          raise Mistake, "the script makes no index #{made.relation.relname}" unless table || made.missing_ok
          return true unless table

          @reading.set(known, known == table ? "key_called" : "called", made.newname)
          true
        end

        def sequence(made)
          names = @reading.names(made.relation)
          known = @reading.sequence(names)
          if known
            @reading.sequences.rename(known, SQLName.of(SQLName.schema(known.name), made.newname), @reading.piece)
            return true
          end

          owner = @reading.numbered(names)
          raise Mistake, "the script makes no sequence #{made.relation.relname}" unless owner

          @reading.add(owner)
        end

        def schema(made)
          draft.of_kind("table", "view", Kinds::OBJECT).select { |one| Needs.parts(one).first == made.subname }.each do |one|
            call(one, SQLName.of(made.newname, Needs.bare(one)))
          end
          own = draft.named(made.subname).find { |one| one["type"] == "schema" }
          own && call(own, made.newname)
          true
        end
      end
    end
  end
end
