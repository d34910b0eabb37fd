# frozen_string_literal: true

module Web
  module Families
    module Linking
      # What going down by name brings to the pages and commands.
      module Extension
        module_function

        def routes = [OpeningRoutes, ByNameRoutes]

        def panels = { facts: [:openings, Presenters::OpeningsPanel], sheet: :by_name_sheet, links: :by_name_link }
        def commands = { "link" => Commands::Link }
      end
    end
  end
end
