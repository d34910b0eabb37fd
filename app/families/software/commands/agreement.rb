# frozen_string_literal: true

module Web
  module Families
    module Software
      module Commands
        # Prints what carries each use case of a file.
        class Agreement < CommandLine::Command
          USAGE = "bin/basalt agreement FILE.basalt [--csv]"
          SUMMARY = "From each use case to its interactions, operations, classes and tables."

          def describe(parser)
            super
            parser.on("--csv", "as CSV") { options[:csv] = true }
          end

          private

          def act
            agreement = Basalt::Software::Interactions::Agreement.new(model)
            raise Basalt::Mistake, "#{file}: there is no use case in it" if agreement.rows.empty?

            out.print(options[:csv] ? agreement.csv : table(agreement))
            0
          end

          def table(agreement)
            rows = [agreement.class::COLUMNS, *agreement.rows.map { |row| agreement.cells(row) }]
            widths = rows.transpose.map { |column| column.map(&:length).max }
            rows.map { |row| row.each_with_index.map { |text, index| text.ljust(widths[index]) }.join("  ").rstrip }.join("\n").concat("\n")
          end
        end
      end
    end
  end
end
