# frozen_string_literal: true

module Web
  module Families
    module Network
      module Commands
        # Prints the port schedule of a file.
        class Schedule < CommandLine::Command
          USAGE = "bin/basalt schedule FILE.basalt [--thing NAME] [--csv]"
          SUMMARY = "The port schedule: every cable with both its ends, or those of one thing."

          def describe(parser)
            super
            parser.on("--thing NAME", "the cables of one thing, from its side") { |name| options[:thing] = name }
            parser.on("--csv", "as CSV") { options[:csv] = true }
          end

          private

          def act
            set = model
            unit = options[:thing] && Basalt::Network::Cabling::PortReference.unit(set, options[:thing])
            schedule = Basalt::Network::Cabling::Schedule.new(set, unit_id: unit&.id)
            return out.print(schedule.csv).then { 0 } if options[:csv]

            rows = schedule.rows.map { |row| schedule.cells(row).map(&:to_s) }
            rows.empty? ? out.puts("There are no cables.") : print(rows)
            0
          end

          # In columns as wide as what stands in them; those in which nothing stands are left out.
          def print(rows)
            headings = Basalt::Network::Cabling::Schedule::HEADINGS
            kept = headings.each_index.select { |index| rows.any? { |row| !row[index].empty? } }
            lines = [headings, *rows].map { |row| row.values_at(*kept) }
            widths = lines.transpose.map { |column| column.map(&:length).max }
            lines.each { |line| out.puts line.zip(widths).map { |cell, width| cell.ljust(width) }.join("  ").rstrip }
          end
        end
      end
    end
  end
end
