# frozen_string_literal: true

require "json_schemer"

module Basalt
  module Formats
    # The shape of a project document, as project.schema.json beside this file has it (JSON Schema, draft 2020-12).
    module Schema
      FILE = File.join(__dir__, "project.schema.json")
      WORDS = {
        "string" => "it is not a text",
        "integer" => "it is not a whole number",
        "number" => "it is not a number",
        "boolean" => "it is not true or false",
        "object" => "it is not an object",
        "array" => "it is not a list",
        "schema" => "nothing of that name belongs here",
        "minItems" => "it holds too little",
        "maxItems" => "it holds too much",
        "maxLength" => "it is too long",
        "minLength" => "it is empty",
        "minimum" => "it is too small",
        "maximum" => "it is too large",
        "exclusiveMinimum" => "it is too small",
        "dependentRequired" => "a place and a size belong together: x, y, w and h"
      }.freeze

      module_function

      # @param json [Object] as parsed
      # @raise [ProjectDocument::Damaged] with the place (a JSON pointer, RFC 6901) of what does not fit
      def check(json)
        error = schema.validate(json).first or return
        raise ProjectDocument::Damaged.new(*told(error))
      end

      def schema = @schema ||= JSONSchemer.schema(JSON.parse(File.read(FILE)), output_format: "classic")

      def told(error)
        place = error["data_pointer"]
        return "#{place}/#{error["details"]["missing_keys"].first}", "it is missing" if error["type"] == "required"
        return place, "it is not one of #{error["schema"]["enum"].join(", ")}" if error["type"] == "enum"

        [place, WORDS.fetch(error["type"], "it is not what belongs here")]
      end
    end
  end
end
