# frozen_string_literal: true

module Web
  module Families
    module Network
      # An inventory of things and addresses, of ports or of cables, from a file.
      module Importer
        module_function

        def endings = %w[.csv .tsv .txt]
        def sheet = ["Inventory", "logical network"]

        # @param bytes [String]
        # @return [CommandLine::Import::Told]
        def into(draft, bytes, sheet_id:)
          table = Basalt::Formats::CSV.new(bytes)
          subject = Basalt::Network::Inventory::Subjects.guess(table.headings)
          result = Basalt::Network::Inventory::Intake.new(table, subject.guess(table.headings), subject).take(draft, sheet_id:)
          said = [
            *result.rejected.map { |row| "line #{row.line}: #{row.reason}" },
            *result.remarks,
            "#{Basalt::English.count(result.taken, "row")} taken, #{result.rejected.length} rejected"
          ]
          CommandLine::Import::Told.new(said, result.rejected.empty?)
        end
      end
    end
  end
end
