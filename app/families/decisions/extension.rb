# frozen_string_literal: true

module Web
  module Families
    module Decisions
      # What decisions bring to the pages.
      module Extension
        module_function

        def routes = [Routes]

        def panels =
          {
            facts: [:decision_facts, Presenters::ElementPanel],
            sheet: [:decisions_sheet, Presenters::SheetPanel],
            links: :decisions_links
          }

        def follows?(_set, _sheet, effect)
          kinds = Basalt::Decisions::Kinds
          effect.kinds.intersect?([kinds::DECISION, kinds::CONCERNS])
        end
      end
    end
  end
end
