# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Engines
        # The standard alone (ISO/IEC 9075-2:2016), with its optional features F692 (collations), S096 (arrays) and T201 (references) left
        # out. There is no server of it to prove anything on.
        class Standard < Engine
          TYPES = {
            "smallint" => "SMALLINT", "integer" => "INTEGER", "bigint" => "BIGINT", "boolean" => "BOOLEAN",
            "numeric" => "NUMERIC(*)", "real" => "REAL", "double precision" => "DOUBLE PRECISION", "money" => "NUMERIC(19,2)",
            "text" => "CHARACTER LARGE OBJECT", "varchar" => "CHARACTER VARYING(*)", "char" => "CHARACTER(*)",
            "bpchar" => "CHARACTER LARGE OBJECT", "\"char\"" => "CHARACTER(1)", "name" => "CHARACTER VARYING(63)",
            "citext" => "CHARACTER LARGE OBJECT", "date" => "DATE", "time" => "TIME(*)", "timetz" => "TIME(*) WITH TIME ZONE",
            "timestamp" => "TIMESTAMP(*)", "timestamptz" => "TIMESTAMP(*) WITH TIME ZONE", "interval" => "CHARACTER VARYING(64)",
            "uuid" => "CHARACTER(36)", "json" => "CHARACTER LARGE OBJECT", "jsonb" => "CHARACTER LARGE OBJECT",
            "xml" => "CHARACTER LARGE OBJECT", "bytea" => "BINARY LARGE OBJECT", "inet" => "CHARACTER VARYING(43)",
            "cidr" => "CHARACTER VARYING(43)", "macaddr" => "CHARACTER VARYING(17)", "bit" => "BINARY(*)",
            "varbit" => "VARBINARY(*)"
          }.freeze
          LOSING = { "interval" => "an interval becomes text", "json" => "JSON becomes text", "jsonb" => "JSON becomes text" }.freeze
          HOLDS = %i[deferrable match].freeze

          def name = "iso"
          def title = "the ISO standard"
          def schemas? = true
          def numbered(type) = "#{type} GENERATED ALWAYS AS IDENTITY"
          def unlimited(type) = type == "CHARACTER VARYING" ? "CHARACTER LARGE OBJECT" : type
          def function(name) = { "length" => "CHARACTER_LENGTH", "substr" => "SUBSTRING" }.fetch(name, name)

          def enumerated(column, values)
            longest = values.map(&:length).max || 1
            ["CHARACTER VARYING(#{longest})", "CHECK (#{column} IN (#{values.map { |one| text(one) }.join(", ")}))"]
          end
        end
      end
    end
  end
end
