# frozen_string_literal: true

module Web
  module Families
    module Software
      # What components, use cases, classes and interactions bring to the pages and commands.
      module Extension
        module_function

        def routes = [UseCaseRoutes, ClassRoutes, CodeRoutes, DerivationRoutes, InteractionRoutes]

        def panels =
          [
            [:facts, [:software_facts, Presenters::ElementPanel]],
            [:facts, [:interaction_facts, Presenters::ItemPanel]],
            [:sheet, [:software_sheet, Presenters::SheetPanel]],
            [:sheet, [:interaction_sheet, Presenters::InteractionPanel]],
            [:chosen_fields, [:interaction_chosen, Presenters::ChosenItems]],
            [:links, :software_links],
            [:openers, :code_opener]
          ]

        def tasks = { "code" => CodeWork }
        def importers = [Importer]

        def commands =
          {
            "xmi" => Commands::Xmi,
            "skeleton" => Commands::Skeleton,
            "scenarios" => Commands::Scenarios,
            "agreement" => Commands::Agreement
          }

        def faces = [Face::TAKING_PART, Face::ACCESS, Face::SCENARIOS, Face::TRAFFIC]
      end
    end
  end
end
