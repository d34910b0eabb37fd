# frozen_string_literal: true

module Web
  module Families
    module Software
      module Commands
        # Prints every way through the interactions of a file.
        class Scenarios < CommandLine::Command
          USAGE = "bin/basalt scenarios FILE.basalt [--sheet NAME] [--csv]"
          SUMMARY = "Every way through the interactions, as test cases in Markdown or CSV."
          Interactions = Basalt::Software::Interactions

          def describe(parser)
            super
            parser.on("--sheet NAME", "of this sheet alone") { |name| options[:sheet] = name }
            parser.on("--csv", "as CSV") { options[:csv] = true }
          end

          private

          def act
            set = model
            tables = shown(set).map { |one| Interactions::ScenarioTable.new(one.name, Interactions::Scenarios.new(set, one.id)) }
            raise Basalt::Mistake, "#{file}: there is no interaction in it" if tables.empty?

            texts = tables.each_with_index.map { |table, index| options[:csv] ? table.csv(header: index.zero?) : table.markdown }
            out.print(texts.join(options[:csv] ? "" : "\n"))
            0
          end

          # @return [Array<Basalt::Model::Element>]
          def shown(set)
            wanted = options[:sheet] or return set.of_kind("interaction")
            sheet = set.sheet_list.find { |one| one.name == wanted } or raise Basalt::Mistake, "#{file}: no sheet is called “#{wanted}”"
            [Interactions::Scope.shown(set, sheet.id) || raise(Basalt::Mistake, "#{wanted} shows no interaction")]
          end
        end
      end
    end
  end
end
