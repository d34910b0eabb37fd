# frozen_string_literal: true

module Web
  module Families
    module Linking
      module Commands
        # Links the things of a file with its sheets, by what both are called.
        class Link < CommandLine::Command
          USAGE = "bin/basalt link FILE --by name --to titles [--dry-run]"
          SUMMARY = "Links things with the sheets that are called as they are, and writes the file; with --dry-run only tells."

          def describe(parser)
            super
            options[:without] = []
            options[:sheets] = []
            parser.on("--by FACT", "what of the things: name, a fact, or a place such as rack or site") { |fact| options[:by] = fact }
            parser.on("--to WHAT", Basalt::Linking::ByName::TARGETS,
                      "what of the sheets: #{Basalt::Linking::ByName::TARGETS.join(", ")}") do |to|
              options[:to] = to
            end
            parser.on("--of SHEET", "only things of that sheet; may be said several times") { |name| options[:sheets] << name }
            parser.on("--kind KIND", "only things that are called so, such as rack") { |noun| options[:noun] = noun }
            parser.on("--without WORDS", "words to leave out at the beginning or at the end") { |words| options[:without] << words }
            parser.on("--title TITLE", "what the links are called") { |title| options[:title] = title }
            parser.on("--dry-run", "tell what would be linked, and write nothing") { options[:dry] = true }
          end

          private

          def act
            set = model
            proposal = proposal(set)
            tell(set, proposal)
            return 0 if options[:dry] || proposal.fresh.empty?

            draft = Basalt::Change::Draft.new(set, ids: CommandLine::Command::FIRST.then { |number| -> { (number += 1).to_s } })
            draft.apply(proposal.changes(title: options[:title]))
            CommandLine::Files.write_model(file, set.advance(draft.effect))
            0
          end

          def proposal(set)
            Basalt::Linking::ByName.new(
              set,
              sheet_ids: options[:sheets].map { |name| sheet_id(set, name) },
              noun: options[:noun],
              by: options[:by] || "name",
              to: options[:to] || "titles",
              without: options[:without]
            )
          end

          def sheet_id(set, name)
            set.sheets.by(:name, name).first&.id or raise Basalt::Mistake, "#{file} has no sheet “#{Basalt::Model::Names.short(name)}”"
          end

          # Sheets among which to choose that are told one by one.
          MOST = 8
          private_constant :MOST

          def named(set, ids)
            told = ids.first(MOST).map { |id| set.sheets[id].name }
            [*told, *("#{ids.length - MOST} more" if ids.length > MOST)].join(", ")
          end

          def tell(set, proposal)
            name = ->(id) { set.element(id).name }
            proposal.fresh.each { |pair| out.puts "#{name.call(pair.thing)} -> #{set.sheets[pair.sheet].name}" }
            proposal.choices.each do |choice|
              out.puts "#{name.call(choice.thing)} could open into #{named(set, choice.sheets)}: not linked"
            end
            proposal.left_things.each { |id| out.puts "#{name.call(id)} has no sheet" }
            proposal.left_sheets.each { |id| out.puts "#{set.sheets[id].name} is opened by nothing" }
            out.puts "#{proposal.fresh.length} linked#{" if it were done" if options[:dry]}, #{proposal.standing.length} stand already, " \
                     "#{proposal.choices.length} to be chosen"
          end
        end
      end
    end
  end
end
