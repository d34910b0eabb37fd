# frozen_string_literal: true

module Web
  module Families
    module Process
      # What activity tables and data flows bring to the pages and commands.
      module Extension
        module_function

        def routes = [Routes]

        def panels =
          {
            facts: [:process_facts, Presenters::ElementPanel],
            sheet: [:process_sheet, Presenters::SheetPanel],
            about: [:process_about, Presenters::AboutPanel],
            links: :process_links
          }

        def commands = { "context" => Commands::Context }
      end
    end
  end
end
