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

        module_function

        # @return [Array(String, Boolean)] the type, and whether it numbers rows
        def of(type)
          names = type.names.map { |name| name.string.sval }
          bare = names.last
          return SERIAL[bare], true if SERIAL.key?(bare)

          name = names.length == 1 || names.first == "pg_catalog" ? USUAL.fetch(bare, bare) : names.join(".")
          [name + figures(type, name) + ("[]" * type.array_bounds.length), false]
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
