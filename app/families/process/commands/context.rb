# frozen_string_literal: true

module Web
  module Families
    module Process
      module Commands
        # Draws the context, and the level beneath it, from the activity table of a file.
        class Context < CommandLine::Command
          USAGE = "bin/basalt context FILE [--to FILE] [--about PROCESS]"
          SUMMARY = "Who is outside, and the context: tells what it would show, and with --to writes it."

          def describe(parser)
            super
            parser.on("--to FILE", "where to write the whole, table and context") { |path| options[:to] = path }
            parser.on("--about PROCESS", "the process that the table is of, where the file does not say") do |name|
              options[:about] = name
            end
          end

          private

          def act
            draft = Basalt::Change::Draft.new(model, ids: CommandLine::Command::FIRST.then { |number| -> { (number += 1).to_s } })
            sheets = draft.sheet_list.select { |sheet| sheet.notation_name == "activities" }
            raise Basalt::Mistake, "#{file}: there is no sheet of activities to draw a context from" if sheets.empty?

            sheets.each { |sheet| frame(draft, sheet) }
            CommandLine::Files.write_model(options[:to], arranged(draft)) if options[:to]
            0
          end

          def frame(draft, sheet)
            about(draft, sheet) unless sheet.subject_id
            framing = Basalt::Process::ContextDerivation.new(draft, sheet.id)
            framing.standing.verdicts.each do |verdict|
              out.puts "#{draft.element(verdict.party_id).name} is #{verdict.outside? ? "outside" : "inside"}: #{verdict.why}"
            end
            out.puts "Nothing differs: the context shows what the table tells." if framing.steps.empty?
            framing.steps.each { |step| out.puts "#{step.act == :drop ? "only drawn" : step.act} #{step.words}" }
            framing.into(draft)
          end

          def about(draft, sheet)
            name = options[:about] || sheet.name
            process =
              draft.named(name, "process").first || Basalt::Change::Add.new(kind: "process", name:).apply(draft)
            draft.apply(Basalt::Change::SetSubject.new(sheet_id: sheet.id, element_id: process.id))
          end
        end
      end
    end
  end
end
