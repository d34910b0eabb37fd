# frozen_string_literal: true

module Web
  module Families
    module Network
      # What networks bring to the pages and commands.
      module Extension
        module_function

        def routes = [InventoryRoutes]
        def panels = { openers: :inventory_opener }
        def tasks = { "inventory" => InventoryWork }
        def importers = [Importer]
      end
    end
  end
end
