# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # What clouds bring to the pages and commands.
      module Extension
        module_function

        def routes = [ReachRoutes]
        def panels = { facts: [:cloud_facts, Presenters::ElementPanel], links: :cloud_links }
        def commands = { "reach" => Commands::Reach }
      end
    end
  end
end
