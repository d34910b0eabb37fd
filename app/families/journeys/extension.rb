# frozen_string_literal: true

module Web
  module Families
    module Journeys
      # What journeys bring to the pages and commands.
      module Extension
        module_function

        def routes = [Routes, WalkRoutes]

        def panels =
          {
            facts: [:journey_facts, Presenters::ElementPanel],
            sheet: [:journeys_sheet, Presenters::SheetPanel],
            links: :journeys_links
          }

        def commands = { "walk" => Commands::Walk }
      end
    end
  end
end
