# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What ALTER TABLE makes of a table that the script made before, and ALTER VIEW, INDEX and others by the same words.
      class Altering
        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::AlterTableStmt]
        # @return [Boolean] whether it is taken
        def take(made)
          return index(made) if made.objtype == :OBJECT_INDEX

          owner = @reading.thing(made.relation)
          return true if owner.nil? && made.missing_ok
          return sequence(made) if owner.nil?

          @table = owner
          made.cmds.each { |one| (owner.kind == "table" && modelled?(one.alter_table_cmd)) || keep(made, one) }
          true
        end

        private

        def draft = @reading.draft
        def keep(made, command) = @reading.add(@table, made.cmds.one? ? @reading.piece.text : Spelled.altering(made, command))

        # Sequences that columns bring with them are altered by these words too.
        def sequence(made)
          owner = @reading.numbered(@reading.names(made.relation))
          raise Mistake, "#{made.relation.relname} is not made by the script" unless owner

          @reading.add(owner)
        end

        # A partition takes the indexes that fit when it is attached.
        def index(made)
          table, = @reading.indexed(@reading.names(made.relation))
          raise Mistake, "the script makes no index #{made.relation.relname}" unless table
          return true if made.cmds.all? { |one| one.alter_table_cmd.subtype == :AT_AttachPartition }

          @reading.add(table)
        end

        # @return [Boolean] whether it is modelled
        def modelled?(command)
          case command.subtype
          when :AT_AddConstraint then Constraints.new(@reading, @table).take(command.def.constraint)
          when :AT_AddColumn then add_column(command)
          when :AT_DropColumn then drop_column(command)
          when :AT_DropConstraint then drop_constraint(command)
          when :AT_ValidateConstraint then validate(command.name)
          when :AT_AddIdentity then Columns.new(@reading, @table).identify(own(command) || (return false), command.def.constraint)
          when :AT_SetUnLogged, :AT_SetLogged then @reading.set(@table, "unlogged", command.subtype == :AT_SetUnLogged || nil)
          when :AT_AddInherit then inherit(@reading.table!(command.def.range_var))
          when :AT_DropInherit then part(@table, @reading.table!(command.def.range_var))
          when :AT_AttachPartition then attach(command.def.partition_cmd)
          when :AT_DetachPartition then return detach(@reading.table!(command.def.partition_cmd.name))
          else return column?(command)
          end
          true
        end

        OF_COLUMNS = %i[
          AT_ColumnDefault AT_SetNotNull AT_DropNotNull AT_DropIdentity AT_DropExpression AT_AlterColumnType
        ].freeze
        private_constant :OF_COLUMNS

        def column?(command)
          return false unless OF_COLUMNS.include?(command.subtype) && (column = own(command))

          case command.subtype
          when :AT_ColumnDefault then @reading.set(column, "default", command.def && Spelled.default(command.def))
          when :AT_SetNotNull then @reading.set(column, "required", true)
          when :AT_DropNotNull then @reading.set(column, "required", nil)
          when :AT_DropIdentity, :AT_DropExpression then %w[generated sequence numbering].each { |fact| @reading.set(column, fact, nil) }
          when :AT_AlterColumnType then retype(column, command.def.column_def)
          else return false
          end
          true
        end

        # @return [Model::Element, nil] the column, where it is the table's own
        # @raise [Mistake] where there is none of that name
        def own(command)
          return if command.name.empty?

          Tabling.column(draft, @table.id, command.name) || (Tabling.column!(draft, @table, command.name) && nil)
        end

        def retype(column, made)
          @reading.set(column, "type", Spelled.type(made.type_name, made.coll_clause).first)
        end

        def add_column(command)
          made = command.def.column_def
          return if command.missing_ok && Tabling.column(draft, @table.id, made.colname)

          Columns.new(@reading, @table).take(made)
        end

        def validate(name)
          known = Naming.constraint(draft, @table, name) or raise Mistake, "#{@table.name} has no constraint #{name}"
          @reading.set(known, "validity", nil)
        end

        # With a column its key goes, and what checks or indexes it (PostgreSQL 15, ALTER TABLE DROP COLUMN).
        def drop_column(command)
          column = Tabling.column(draft, @table.id, command.name)
          return if column.nil? && command.missing_ok

          Tabling.column!(draft, @table, command.name)
          unkey if column["key"]
          Tabling.checks(draft, @table.id).select { |one| Respelling.checked(one).include?(column.name) }.each { |one| remove(one) }
          remove(column)
        end

        def remove(element) = draft.apply(Change::Remove.new(id: element.id))

        def unkey
          Tabling.columns(draft, @table.id).each { |one| %w[key key_place].each { |fact| @reading.set(one, fact, nil) } }
          %w[key_called key_written].each { |fact| @reading.set(@table, fact, nil) }
        end

        def drop_constraint(command)
          known = Naming.constraint(draft, @table, command.name) and return remove(known)
          return unkey if Naming.key(@table) == command.name && Tabling.key_columns(draft, @table.id).any?

          kept = Sentences.additions(draft, @table.id).find { |one| Keeping.adds?(one["written"], command.name) } and return remove(kept)
          raise Mistake, "#{@table.name} has no constraint #{command.name}" unless command.missing_ok
        end

        # What a table has already stays as it is when it inherits later.
        def inherit(parent)
          @reading.set(Sentences.inherit(@reading.context, @table, parent), "afterwards", true)
        end

        def attach(made)
          Sentences.inherit(@reading.context, @reading.table!(made.name), @table, Spelled.bounds(made.bound))
        end

        # One that has its columns from what it was a part of keeps them then.
        def detach(table) = Tabling.columns(draft, table.id).any? && part(table, @table)

        # @return [true]
        def part(table, parent)
          Sentences.inheritances(draft, table.id).select { |one| one.target("parent") == parent.id }.each { |one| remove(one) }
          true
        end
      end
    end
  end
end
