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

        # What journeys lack is told beside the sheet, whatever comes to it.
        def follows?(set, sheet, effect)
          kind = Basalt::Journeys::Kinds::JOURNEY
          effect.kinds.include?(kind) || set.of_kind(kind).any? { |journey| set.shown?(sheet.id, journey.id) }
        end

        def commands = { "walk" => Commands::Walk }
      end
    end
  end
end
