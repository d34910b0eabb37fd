# frozen_string_literal: true

module Web
  module Families
    module Brief
      # What sources and requirements bring to the pages and commands.
      module Extension
        module_function

        def routes = [SourceRoutes, Routes]

        def panels =
          {
            facts: [:brief_facts, Presenters::ElementPanel],
            sheet: [:brief_sheet, Presenters::SheetPanel],
            links: :brief_links,
            beside: [:sources_beside, Presenters::SourcesBeside]
          }

        # What it answers itself where an act is asked for again.
        def answers_again = [:source_again]
        def commands = { "coverage" => Commands::Coverage }
        def samples = [SourceSamples]
      end
    end
  end
end
