# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # What clouds bring to the pages and commands.
      module Extension
        module_function

        def routes = [ReachRoutes, AccountRoutes, BeginningRoutes]

        def panels
          { facts: [:cloud_panel, Presenters::ElementPanel], sheet: [:cloud_sheet, Presenters::SheetPanel], links: :cloud_links,
            openers: [:account_opener, Presenters::AccountOpener] }
        end

        def tasks = { "cloud-account" => AccountWork }
        def importers = [Importer]
        def stand_ins = [StandIn]
        def commands = { "reach" => Commands::Reach, "collect" => Commands::Collect, "tosca" => Commands::Tosca }
      end
    end
  end
end
