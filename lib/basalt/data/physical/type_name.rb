# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A type as PostgreSQL's parser gives it, as people write it.
      module TypeName
        USUAL = {
          "int8" => "bigint",
          "int4" => "integer",
          "int2" => "smallint",
          "bool" => "boolean",
          "float8" => "double precision",
          "float4" => "real",
          "bpchar" => "char"
        }.freeze
        # Types that number rows by themselves.
        SERIAL = {
          "serial" => "integer",
          "serial4" => "integer",
          "bigserial" => "bigint",
          "serial8" => "bigint",
          "smallserial" => "smallint",
          "serial2" => "smallint"
        }.freeze

        PLAIN = /\A[a-z_][a-z0-9_]*\z/

        module_function

        # @return [Array(String, Boolean)] the type, and whether it numbers rows by a sequence of its own
        def of(type)
          names = type.names.map { |name| name.string.sval }
          bare = names.last
          return SERIAL[bare], true if SERIAL.key?(bare)

          return spelled(type), false if names.first == "pg_catalog" && bare == "interval" && type.typmods.any?

          name = names.first == "pg_catalog" ? USUAL.fetch(bare, bare) : named(names)
          # Of any length, which char without a figure is not.
          name = bare if name == "char" && type.typmods.empty?
          [name + figures(type, name) + ("[]" * type.array_bounds.length), false]
        end

        # A name that is not among the words of SQL; "char" is another type than char.
        def named(names)
          return USUAL.fetch(names.first) if names.length == 1 && USUAL.key?(names.first)

          names.map { |name| name.match?(PLAIN) && name != "char" ? name : %("#{name.gsub('"', '""')}") }.join(".")
        end

        def spelled(type)
          cast = PostgresParser.parse("SELECT NULL::t").tree.stmts.first.stmt
          cast.select_stmt.target_list.first.res_target.val.type_cast.type_name = type
          PostgresParser.deparse_stmt(cast.select_stmt).delete_prefix("SELECT NULL::")
        end

        def figures(type, name)
          list = type.typmods.filter_map { |one| figure(one) }
          list.empty? || (name == "char" && list == ["1"]) ? "" : "(#{list.join(",")})"
        end

        # A number, a text or a word, as the types of extensions have them.
        def figure(one)
          case one.node
          when :a_const
            (one.a_const.ival&.ival || one.a_const.sval&.sval).to_s
          when :column_ref
            one.column_ref.fields.map { |field| field.string.sval }.join(".")
          end
        end
      end
    end
  end
end
