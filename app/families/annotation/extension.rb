# frozen_string_literal: true

module Web
  module Families
    module Annotation
      # What groups bring to the pages.
      module Extension
        module_function

        def routes = [Routes]
        def panels = { facts: [:group_facts, Presenters::Groups], chosen_fields: [:group_chosen, Presenters::Groups] }
      end
    end
  end
end
