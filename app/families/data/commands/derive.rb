# frozen_string_literal: true

module Web
  module Families
    module Data
      module Commands
        # Derives tables from the entities of a file.
        class Derive < CommandLine::Command
          USAGE = "bin/basalt derive FILE.basalt [--to FILE] [--sheet NAME]"
          SUMMARY = "Tables from entities: tells what would be added, altered and dropped, and with --to writes it."

          def describe(parser)
            super
            parser.on("--to FILE", "where to write the whole, entities and tables") { |path| options[:to] = path }
            parser.on("--sheet NAME", "the sheet to show new tables on (Tables)") { |name| options[:sheet] = name }
          end

          private

          def act
            draft = Basalt::Change::Draft.new(model, ids: FIRST.then { |number| -> { (number += 1).to_s } })
            raise Basalt::Mistake, "#{file}: there are no entities to derive tables from" if draft.of_kind("entity").empty?

            derivation = Basalt::Data::Logical::Derivation.new(draft, sheet_id: sheet(draft))
            tell(derivation.steps)
            derivation.into(draft)
            CommandLine::Files.write_model(options[:to], arranged(draft)) if options[:to]
            0
          end

          def sheet(draft)
            Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), options[:sheet] || "Tables", "tables")
          end

          def tell(steps)
            out.puts "Nothing differs: the tables are as they would be derived." if steps.empty?
            steps.each { |step| out.puts "#{step.act.to_s.ljust(6)}#{step.words}" }
          end
        end
      end
    end
  end
end
