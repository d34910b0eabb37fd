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

        # What journeys lack is told beside the sheet, whenever something comes, goes or is called otherwise.
        def follows?(set, sheet, effect)
          kind = Basalt::Journeys::Kinds::JOURNEY
          return true if effect.kinds.include?(kind)

          effect.on(:elements).any? { |delta| delta.before&.name != delta.after&.name || delta.before.nil? || delta.after.nil? } &&
            set.of_kind(kind).any? { |journey| set.shown?(sheet.id, journey.id) }
        end

        def commands = { "walk" => Commands::Walk }
      end
    end
  end
end
