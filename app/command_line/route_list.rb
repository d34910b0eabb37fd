# frozen_string_literal: true

module CommandLine
  # Prints the table of routes.
  class RouteList < Command
    USAGE = "bin/basalt routes"
    SUMMARY = "Every address of the application: what it needs, what it answers with and what changes it makes."

    private

    def act
      Web::RouteTable.all.each do |route|
        out.puts [
          route.verb.ljust(5),
          route.needs.to_s.ljust(5),
          route.answers.to_s.ljust(9),
          route.path,
          (" makes #{route.makes}" if route.makes)
        ].compact.join(" ")
      end
      0
    end
  end
end
