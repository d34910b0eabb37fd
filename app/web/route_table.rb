# frozen_string_literal: true

module Web
  # Every address of the application, those of the families behind its own.
  module RouteTable
    module_function

    # @return [Array<Module>] that state routes
    def modules
      [
        ProjectListRoutes,
        ProjectRoutes,
        SheetListRoutes,
        SheetRoutes,
        EditRoutes,
        DrawingRoutes,
        StandingRoutes,
        SelectionRoutes,
        PartRoutes,
        RegisterRoutes,
        FindingRoutes,
        ReadingRoutes,
        JournalRoutes,
        ImageRoutes,
        TaskRoutes,
        *Extensions.gather(:routes)
      ]
    end

    # @return [Array<Route>]
    def all = modules.flat_map(&:routes)
  end
end
