# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What ALTER TABLE makes of a table that the script made before.
      class Altering
        # @param schema [Schema] that reads the script
        # @param context [Statements::Context]
        # @param table [Model::Element]
        def initialize(schema, context, table)
          @schema = schema
          @context = context
          @table = table
        end

        # @param command [PgQuery::AlterTableCmd]
        # @return [Boolean] whether it is modelled
        def take(command)
          case command.subtype
          when :AT_AddConstraint then @schema.make_constraint(@table, command.def.constraint)
          when :AT_AddColumn then @schema.make_column(@table, command.def.column_def)
          when :AT_DropColumn then drop(command)
          when :AT_ColumnDefault then set(command.name, "default", command.def && PostgresParser.deparse_expr(command.def))
          when :AT_SetNotNull then set(command.name, "required", true)
          when :AT_DropNotNull then set(command.name, "required", nil)
          when :AT_ValidateConstraint then validate(command.name)
          when :AT_AddIdentity then @schema.make_identity(@table, column(command.name), command.def.constraint)
          when :AT_AlterColumnType then set(command.name, "type", TypeName.of(command.def.column_def.type_name).first)
          else return false
          end
          true
        end

        private

        def column(name) = Tabling.column!(@context.draft, @table, name)
        def set(name, fact, value) = @context.set(column(name).id, fact, value)

        def validate(name)
          made = Tabling.checks(@context.draft, @table.id) + Tabling.references(@context.draft, @table.id)
          known = made.find { |one| one["called"] == name } or raise Mistake, "#{@table.name} has no constraint #{name}"

          @context.set(known.id, "validity", nil)
        end

        def drop(command)
          known = Tabling.column(@context.draft, @table.id, command.name)
          return if known.nil? && command.missing_ok

          @context.draft.apply(Change::Remove.new(id: column(command.name).id))
        end
      end
    end
  end
end
