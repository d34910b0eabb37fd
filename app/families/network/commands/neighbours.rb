# frozen_string_literal: true

module Web
  module Families
    module Network
      module Commands
        # Compares what a unit found out about its neighbours with the plan.
        class Neighbours < CommandLine::Command
          USAGE = "bin/basalt neighbours FILE.basalt TABLE.json --of THING [--to FILE]"
          SUMMARY = "A table of neighbours (lldpctl -f json0) against the plan; with --to writes the plan with what it proves."

          def describe(parser)
            super
            parser.on("--of THING", "whose table it is") { |name| options[:of] = name }
            parser.on("--to FILE", "where to write the plan with the cables that are proved") { |path| options[:to] = path }
          end

          private

          def act
            raise Basalt::Mistake, "Name a file, a table and whose it is: #{USAGE}" unless @arguments.length == 2 && options[:of]

            set = CommandLine::Files.model(@arguments.first)
            unit = Basalt::Network::Cabling::PortReference.unit(set, options[:of])
            table = Basalt::Network::Cabling::Neighbours.new(set, unit, CommandLine::Files.bytes(@arguments.last))
            table.rows.each { |row| out.puts told(unit, row) }
            out.puts "No neighbours." if table.rows.empty?
            write(set, table) if options[:to]
            table.rows.any? { |row| %i[contradicts unknown].include?(row.verdict) } ? 1 : 0
          end

          def told(unit, row)
            "#{row.verdict}: #{unit.name} #{row.port} to #{[row.far, row.far_port].compact.join(" ")} (#{row.words})"
          end

          def write(set, table)
            draft = Basalt::Change::Draft.new(set, ids: CommandLine::Files.counter.then { |count| -> { "n#{count.call}" } })
            table.into(draft)
            CommandLine::Files.write_model(options[:to], draft)
          end
        end
      end
    end
  end
end
