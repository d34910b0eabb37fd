# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # The type of a column, guessed from what an attribute is called; somebody settles it.
      module Types
        KEY = "bigint"
        RULES = [
          [/\b(price|cost|amount|fee|charge|balance|salary|budget|total)\b/i, "numeric(12,2)"],
          [/\b(quantity|count|headcount|size|capacity|age|level)\b|\Anumber of\b/i, "integer"],
          [
            /\b(length|width|height|depth|weight|pressure|flow|temperature|diameter|latitude|longitude|value|reading|rate|ratio)\b/i,
            "numeric"
          ],
          [
            /\b(hours|minutes|seconds|miles|mileage|kilometres|metres|litres|tons|tonnes|tonnage|kilos|volume|area|distance|speed)\b/i,
            "numeric"
          ],
          [/\b(voltage|power|percentage|percent|score|duration|energy)\b/i, "numeric"],
          [/\b(nights|days|weeks|months|years|seats|rooms|beds|persons|pieces|units|copies|floors)\b/i, "integer"],
          [/\b(code|number|no|tag|reference|postcode|serial|identifier)\b/i, "varchar(20)"],
          [/\b(phone|phones|fax)\b/i, "varchar(32)"],
          [/\b(time|at)\z/i, "timestamptz"],
          [/\b(date|on|since|until|day|birthday)\z/i, "date"],
          [/\A(is|has|was|can|may)\b|\bactive\z/i, "boolean"]
        ].freeze
        OTHER = "text"

        # Names of one type.
        SAME = {
          "int" => "integer",
          "int4" => "integer",
          "int8" => "bigint",
          "int2" => "smallint",
          "serial" => "integer",
          "bigserial" => "bigint",
          "smallserial" => "smallint",
          "decimal" => "numeric",
          "character varying" => "varchar",
          "bool" => "boolean",
          "float8" => "double precision",
          "float4" => "real",
          "timestamp with time zone" => "timestamptz",
          "timestamp without time zone" => "timestamp",
          "character" => "char",
          "bpchar" => "char"
        }.freeze

        # @return [String] the usual name of a type
        def self.usual(type)
          name, rest = type.to_s.downcase.strip.match(/\A([^(\[]*?)\s*([(\[].*)?\z/).captures
          "#{SAME.fetch(name, name)}#{rest&.delete(" ")}"
        end

        # Texts may differ in length: what is referred to is a text all the same.
        def self.same?(one, other) = usual(one) == usual(other)

        # @return [String] the words that a rule looks for
        def self.words(shape) =
          shape.source.gsub(/\\[bAz]|[()]/, " ").gsub("|", ", ").squeeze(" ").gsub(" ,", ",").strip.sub(/,\s*\z/, "")

        def self.guess(name) = RULES.find { |shape, _| name.match?(shape) }&.last || OTHER
      end
    end
  end
end
