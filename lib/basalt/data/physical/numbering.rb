# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Columns that number rows by themselves: identities, and columns with a sequence of their own (PostgreSQL 15, CREATE TABLE, CREATE
      # SEQUENCE and the serial types).
      module Numbering
        IDENTITY = { "identity" => "ALWAYS", "identity by default" => "BY DEFAULT" }.freeze
        SERIAL = "serial"
        # What the fact +generated+ of a column may say, beside an expression.
        WORDS = [*IDENTITY.keys, SERIAL].freeze
        # What a sequence does unless something else is said.
        USUAL = { "start" => "1", "increment" => "1", "minvalue" => nil, "maxvalue" => nil, "cache" => "1" }.freeze
        TYPES = { "smallint" => "smallserial", "integer" => "serial", "bigint" => "bigserial" }.freeze

        module_function

        # @param identity [PgQuery::Constraint]
        # @return [String] one of WORDS
        def word(identity) = identity.generated_when == "d" ? "identity by default" : "identity"

        # @return [String] the name of a sequence that nobody called anything
        def usual_name(table, column) = "#{table}_#{column}_seq"

        # @param options [Array<PgQuery::Node>] of a sequence
        # @param name [String] what it would be called by itself
        # @return [Boolean] whether they say nothing but what holds anyway
        def usual?(options, name)
          options.map(&:def_elem).all? do |one|
            case one.defname
            when "sequence_name" then one.arg.list.items.last.string.sval == name
            when "as", "owned_by" then true
            else USUAL.key?(one.defname) && figure(one.arg) == USUAL[one.defname]
            end
          end
        end

        def figure(arg) = arg && (arg.integer&.ival || arg.float&.fval).to_s

        # @return [String] the type as SQL has it
        def type(column)
          type = column["type"] || Logical::Types::OTHER
          column["generated"] == SERIAL ? TYPES.fetch(type, type) : type
        end

        # @return [String, nil] what stands behind the type
        def clause(column)
          return if column["generated"].nil? || column["generated"] == SERIAL

          way = IDENTITY[column["generated"]] and
            return "GENERATED #{way} AS IDENTITY#{options(column)}"
          "GENERATED ALWAYS AS (#{column["generated"]}) STORED"
        end

        def options(column)
          said = column["numbering"] || (column["sequence"] && "SEQUENCE NAME #{SQLName.qualified(column["sequence"])}")
          said && " (#{said})"
        end
      end
    end
  end
end
