# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Engines
        # MariaDB (10.11 and later).
        class MariaDB < Engine
          TYPES = {
            "smallint" => "SMALLINT", "integer" => "INT", "bigint" => "BIGINT", "boolean" => "BOOLEAN", "numeric" => "DECIMAL(*)",
            "real" => "FLOAT", "double precision" => "DOUBLE", "money" => "DECIMAL(19,2)", "text" => "LONGTEXT",
            "varchar" => "VARCHAR(*)", "char" => "CHAR(*)", "bpchar" => "LONGTEXT", "\"char\"" => "CHAR(1)",
            "name" => "VARCHAR(63)", "citext" => "LONGTEXT", "date" => "DATE", "time" => "TIME(6)", "timetz" => "TIME(6)",
            "timestamp" => "DATETIME(6)", "timestamptz" => "DATETIME(6)", "interval" => "VARCHAR(64)", "uuid" => "UUID",
            "json" => "JSON", "jsonb" => "JSON", "xml" => "LONGTEXT", "bytea" => "LONGBLOB", "inet" => "VARCHAR(43)",
            "cidr" => "VARCHAR(43)", "macaddr" => "VARCHAR(17)", "bit" => "BIT(*)", "varbit" => "BIT(64)", "[]" => "JSON"
          }.freeze
          LOSING = {
            "timestamptz" => "the time zone is lost", "timetz" => "the time zone is lost", "interval" => "an interval becomes text"
          }.freeze
          # In a key or an index a text has a length.
          KEYED = "VARCHAR(255)"
          HOLDS = %i[indexes comments].freeze
          RESERVED = %w[
            accessible before between bigint both by call cascade change condition convert database databases date delayed
            describe div double drop dual each elseif enclosed escaped exists exit explain float for force fulltext function
            groups high_priority hour_microsecond if ignore index infile inout insert int integer interval iterate key keys kill
            leave level linear lines load lock long loop low_priority match maxvalue mod modifies numeric optimize option
            optionally out outfile over period precision procedure purge range rank read reads real recursive release rename
            repeat replace require resignal return revoke rlike row rows schema schemas sensitive separator set show signal
            smallint spatial specific sql ssl starting status straight_join system terminated tinyint trigger undo unlock unsigned
            update usage use values varying varchar while write xor year_month zerofill
          ].to_set.freeze

          def name = "mariadb"
          def title = "MariaDB"
          def reserved?(name) = RESERVED.include?(name)
          def quoted(name) = "`#{name.gsub("`", "``")}`"
          def together(one, other) = "concat(#{one}, #{other})"
          def function(name) = name == "length" ? "char_length" : name
          def text(words) = SQLName.text(words.gsub("\\", "\\\\\\\\"))
          def numbered(type) = "#{type} AUTO_INCREMENT"

          # It knows no SET DEFAULT.
          def acting(action) = action == "SET DEFAULT" ? "RESTRICT" : action

          # @return [String] the type that a column of a key or an index has
          def keyed(type, keyed) = keyed && %w[LONGTEXT JSON LONGBLOB].include?(type) ? KEYED : type

          def ending = "DEFAULT CHARACTER SET utf8mb4"
          def names_by_table? = false
          def checks_numbers? = false
          def unlimited(type) = { "VARCHAR" => "LONGTEXT", "BIT" => "BIT(1)" }.fetch(type, type)

          def enumerated(_column, values) = ["ENUM(#{values.map { |one| text(one) }.join(", ")})", nil]
        end
      end
    end
  end
end
