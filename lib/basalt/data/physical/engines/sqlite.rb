# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Engines
        # SQLite (3.37 and later), with the affinities of its documentation, "Datatypes In SQLite", 3.
        class SQLite < Engine
          TYPES = {
            "smallint" => "INTEGER", "integer" => "INTEGER", "bigint" => "INTEGER", "boolean" => "INTEGER",
            "numeric" => "NUMERIC(*)", "real" => "REAL", "double precision" => "REAL", "money" => "NUMERIC", "text" => "TEXT",
            "varchar" => "VARCHAR(*)", "char" => "CHAR(*)", "bpchar" => "TEXT", "\"char\"" => "TEXT", "name" => "TEXT",
            "citext" => "TEXT COLLATE NOCASE", "date" => "TEXT", "time" => "TEXT", "timetz" => "TEXT", "timestamp" => "TEXT",
            "timestamptz" => "TEXT", "interval" => "TEXT", "uuid" => "TEXT", "json" => "TEXT", "jsonb" => "TEXT", "xml" => "TEXT",
            "bytea" => "BLOB", "inet" => "TEXT", "cidr" => "TEXT", "macaddr" => "TEXT", "bit" => "TEXT", "varbit" => "TEXT"
          }.freeze
          LOSING = {
            "numeric" => "amounts of more than 15 figures are rounded", "money" => "amounts of more than 15 figures are rounded"
          }.freeze
          HOLDS = %i[deferrable partial expressions indexes].freeze

          def name = "sqlite"
          def title = "SQLite"
          def truth(yes) = yes ? "1" : "0"

          # A key of one number is numbered by itself.
          def numbered(_type) = "INTEGER PRIMARY KEY AUTOINCREMENT"
          def key_at_column? = true
          def refers_ahead? = true
          def opening = ["PRAGMA foreign_keys = ON;"]
          def enumerated(column, values) = ["TEXT", "CHECK (#{column} IN (#{values.map { |one| text(one) }.join(", ")}))"]
        end
      end
    end
  end
end
