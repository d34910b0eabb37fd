# frozen_string_literal: true

module Web
  module Families
    module Data
      # A schema written in SQL, from a file.
      module Importer
        module_function

        def endings = %w[.sql]
        def sheet = %w[Schema tables]

        # @return [Integer] bytes
        def limit = Basalt::Data::Physical::Schema::LIMIT

        # @param bytes [String]
        # @return [CommandLine::Import::Told]
        def into(draft, bytes, sheet_id:)
          schema = Basalt::Data::Physical::Schema.new(bytes)
          kept, missing = schema.into(draft, sheet_id:).partition(&:kept)
          taken = "#{Basalt::English.count(draft.of_kind("table").length, "table")} taken, " \
                  "#{Basalt::English.count(kept.length, "statement")} kept as SQL, #{missing.length} not taken, or not as a whole"
          left = schema.left_out.empty? ? [] : ["left out: #{Basalt::English.list(schema.left_out)}"]
          told = { "kept as SQL" => kept, "not taken" => missing }.flat_map do |words, list|
            list.map { |one| "line #{one.line}: #{words}: #{one.told}" }
          end
          CommandLine::Import::Told.new([*told, *left, taken], missing.empty?)
        end
      end
    end
  end
end
