# frozen_string_literal: true

module Web
  module Families
    module Data
      # A schema written in SQL, from a file.
      module Importer
        module_function

        def endings = %w[.sql]
        def sheet = %w[Schema tables]

        # @param bytes [String]
        # @return [CommandLine::Import::Told]
        def into(draft, bytes, sheet_id:)
          schema = Basalt::Data::Physical::Schema.new(bytes)
          kept = schema.into(draft, sheet_id:)
          taken = "#{Basalt::English.count(draft.of_kind("table").length, "table")} taken, " \
                  "#{Basalt::English.count(kept.length, "statement")} not modelled, or in part"
          left = schema.left_out.empty? ? [] : ["left out: #{Basalt::English.list(schema.left_out)}"]
          CommandLine::Import::Told.new([*kept.map { |one| "line #{one.line}: not modelled: #{one.told}" }, *left, taken], kept.empty?)
        end
      end
    end
  end
end
