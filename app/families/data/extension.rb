# frozen_string_literal: true

module Web
  module Families
    module Data
      # What data models bring to the pages and commands.
      module Extension
        module_function

        def routes = [Routes, SchemaRoutes, MigrationRoutes, DependencyRoutes]

        def panels =
          {
            facts: [:data_facts, Presenters::ElementPanel],
            sheet: [:data_sheet, Presenters::SheetPanel],
            chosen: [:data_chosen, Presenters::ChosenPanel],
            links: :data_links,
            openers: [:schema_opener, Presenters::SchemaOpener]
          }

        def commands = { "derive" => Commands::Derive, "sql" => Commands::Sql }
        def tasks = { "proof" => ProofWork, "migration" => MigrationWork }
        def stand_ins = [StandIn]
        def importers = [Importer]
      end
    end
  end
end
