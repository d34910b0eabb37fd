# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a column of a table says.
      class Columns
        def initialize(reading, table)
          @reading = reading
          @table = table
        end

        # @param made [PgQuery::ColumnDef]
        def take(made)
          name = Model::Names.clean(made.colname)
          raise Mistake, "#{@table.name} has a column #{name} already" if Tabling.column(@reading.draft, @table.id, name)

          column = @reading.context.add("column", name:, owner_id: @table.id)
          type, serial = Spelled.type(made.type_name, made.coll_clause)
          @reading.set(column, "type", type)
          numbered(column, Numbering::SERIAL) if serial
          compressed(column, made)
          attributed(made.constraints.map(&:constraint)).each { |one| constrain(column, one) }
        end

        # @param identity [PgQuery::Constraint]
        def identify(column, identity)
          numbered(column, Numbering.word(identity))
          return if Numbering.usual?(identity.options, Numbering.usual_name(SQLName.local(@table.name), column.name))

          @reading.set(column, "numbering", Spelled.sequence(identity.options))
        end

        def numbered(column, word)
          { "generated" => word, "required" => true, "default" => nil }.each { |fact, value| @reading.set(column, fact, value) }
        end

        private

        def compressed(column, made)
          return if made.compression.empty?

          @reading.add(@table, "ALTER TABLE #{SQLName.qualified(@table.name)} ALTER COLUMN #{SQLName.quote(column.name)} " \
                               "SET COMPRESSION #{made.compression}")
        end

        # What is said of a constraint at a column stands behind it as others of their own.
        def attributed(constraints)
          constraints.each_with_object([]) do |one, found|
            case one.contype
            when :CONSTR_ATTR_DEFERRABLE then found.last.deferrable = true
            when :CONSTR_ATTR_DEFERRED then found.last.deferrable = found.last.initdeferred = true
            when :CONSTR_ATTR_NOT_DEFERRABLE, :CONSTR_ATTR_IMMEDIATE, :CONSTR_NULL then next
            else found << one
            end
          end
        end

        def constrain(column, one)
          case one.contype
          when :CONSTR_NOTNULL
            @reading.set(column, "required", true)
          when :CONSTR_DEFAULT
            @reading.set(column, "default", Spelled.default(one.raw_expr))
          when :CONSTR_IDENTITY
            identify(column, one)
          when :CONSTR_GENERATED
            text = PostgresParser.deparse_expr(one.raw_expr)
            @reading.set(column, "generated", Numbering::WORDS.include?(text) ? "(#{text})" : text)
          else
            Constraints.new(@reading, @table).take(one, [column.name])
          end
        end
      end
    end
  end
end
