# frozen_string_literal: true

require "fileutils"

module Web
  module Families
    module Journeys
      module Commands
        # Tells a journey step by step, and draws each.
        class Walk < CommandLine::Command
          USAGE = "bin/basalt walk FILE --journey NAME [--to DIR]"
          SUMMARY = "A journey step by step; a page with a picture for each step, into a folder. Leaves with 1 where a step cannot be " \
                    "walked."
          Core = Basalt::Journeys

          def describe(parser)
            super
            parser.on("--journey NAME", "which one; the only one where nothing is said") { |name| options[:journey] = name }
            parser.on("--to DIR", "write index.md and a picture of each step there") { |folder| options[:to] = folder }
          end

          private

          # @return [Integer] 1 where something lacks
          def act
            set = arranged(model)
            walked = journey(Core::Survey.of(set))
            lines = Story.new(set, walked).lines
            options[:to] ? write(set, walked, lines) : lines.each { |line| out.puts line.text }
            lines.any?(&:lacking) ? 1 : 0
          end

          def journey(survey)
            names = survey.journeys.map { |one| one.journey.name }
            raise Basalt::Mistake, "#{file}: nobody walks in it" if names.empty?

            wanted = options[:journey] || (names.one? ? names.first : nil)
            raise Basalt::Mistake, "Say which: --journey #{Basalt::English.list(names.map { |name| "“#{name}”" })}" unless wanted

            survey.journeys.find { |one| one.journey.name == wanted } or
              raise Basalt::Mistake, "#{file}: there is no journey “#{Basalt::Model::Names.short(wanted)}”; there are #{Basalt::English.list(names)}"
          end

          def file_in(name, content) = File.write(File.join(options[:to], name), content)

          def write(set, walked, lines)
            sheet_id = walked.ground.sheet_ids.first or raise Basalt::Mistake, "#{walked.journey.name} is walked on no sheet"
            FileUtils.mkdir_p(options[:to])
            pictured = lines.select(&:step).map(&:number)
            pictured.each { |number| file_in("#{number}.svg", StepPicture.svg(set, sheet_id, walked, number)) }
            file_in("index.md", Story.markdown(walked.journey, lines))
            out.puts "#{Basalt::English.count(pictured.length, "picture")} and index.md written to #{options[:to]}"
          end
        end
      end
    end
  end
end
