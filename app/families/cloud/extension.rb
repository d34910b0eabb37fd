# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # What clouds bring to the pages and commands.
      module Extension
        module_function

        def routes = [ReachRoutes, AccountRoutes]
        def panels = { facts: [:cloud_facts, Presenters::ElementPanel], links: :cloud_links, openers: :account_opener }
        def tasks = { "cloud-account" => AccountWork }
        def importers = [Importer]
        def commands = { "reach" => Commands::Reach }
      end
    end
  end
end
