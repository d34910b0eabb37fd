# frozen_string_literal: true

module Web
  module Families
    module Network
      # What networks bring to the pages and commands.
      module Extension
        module_function

        def routes = [InventoryRoutes, CablingRoutes, UnitSheetRoutes, LevelRoutes, RackRoutes, FloorRoutes]

        def panels =
          {
            facts: [:network_facts, Presenters::ElementPanel],
            sheet: [:network_sheet, Presenters::SheetPanel],
            chosen: [:network_chosen, Presenters::ChosenPanel],
            links: :cabling_links,
            openers: :inventory_opener
          }

        def tasks = { "inventory" => InventoryWork }
        def importers = [Importer]
        def samples = [FloorSample]
        def commands = { "schedule" => Commands::Schedule, "trace" => Commands::Trace, "neighbours" => Commands::Neighbours }
        def answers_again = [:cabling_again]
      end
    end
  end
end
