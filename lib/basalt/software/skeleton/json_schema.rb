# frozen_string_literal: true

require "json"

module Basalt
  module Software
    module Skeleton
      # The data of classes as a JSON Schema (2020-12): a definition for each, what is a kind of another refers to it.
      class JsonSchema
        DIALECT = "https://json-schema.org/draft/2020-12/schema"
        TYPES = {
          "String" => { type: "string" }, "string" => { type: "string" }, "Integer" => { type: "integer" }, "int" => { type: "integer" },
          "UnlimitedNatural" => { type: "integer", minimum: 0 }, "Boolean" => { type: "boolean" }, "boolean" => { type: "boolean" },
          "Real" => { type: "number" }, "Float" => { type: "number" }, "Double" => { type: "number" }, "Decimal" => { type: "number" },
          "Time" => { type: "string", format: "date-time" }, "DateTime" => { type: "string", format: "date-time" },
          "Date" => { type: "string", format: "date" }, "Duration" => { type: "string", format: "duration" },
          "URI" => { type: "string", format: "uri" }
        }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param classes [Array<Model::Element>]
        def initialize(set, classes)
          @outlines = classes.reject { |one| one["sort"] == Classes::Kinds::INTERFACE }.map { |one| Outline.new(set, one) }
          @known = @outlines.map { |outline| name(outline.path) }.to_set
        end

        # @return [String]
        def text = "#{JSON.pretty_generate(document)}\n"

        def document = { "$schema" => DIALECT, "$defs" => @outlines.to_h { |outline| [name(outline.path), definition(outline)] } }

        private

        def name(path) = path.join(".")

        def definition(outline)
          return { "enum" => outline.literals } if outline.enumeration? && outline.literals.any?
          return TYPES.fetch(outline.path.last, { "type" => "string" }) if outline.sort == Classes::Kinds::PRIMITIVE

          held = outline.holdings.reject(&:static)
          own = {
            "type" => "object",
            "properties" => held.to_h { |one| [one.name, value(outline, one)] },
            "required" => held.reject(&:optional).map(&:name)
          }
          own = own.reject { |key, list| key == "required" && list.empty? }
          generals = outline.generals.map { |path| name(path) }.select { |one| @known.include?(one) }
          generals.empty? ? own : { "allOf" => [*generals.map { |one| reference(one) }, own] }
        end

        def value(outline, one)
          type = type(outline, one.type)
          one.many ? { "type" => "array", "items" => type } : type
        end

        def type(outline, text)
          path = text && outline.class_of(text)
          found = path && name(path)
          @known.include?(found) ? reference(found) : TYPES.fetch(text.to_s.strip, {})
        end

        def reference(name) = { "$ref" => "#/$defs/#{name}" }
      end
    end
  end
end
