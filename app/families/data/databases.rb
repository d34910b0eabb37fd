# frozen_string_literal: true

module Web
  module Families
    module Data
      # The servers that pages may read databases from: the one that is there beside the sample, and what whoever runs the application
      # allows.
      module Databases
        ALLOWED = "BASALT_DATABASES"
        STAND_IN = "BASALT_STANDIN_DATABASE"
        PORT = 5432

        module_function

        # @return [Array<String>] hosts with their ports
        def all = [ENV.fetch(STAND_IN, nil), *ENV.fetch(ALLOWED, "").split(",")].compact.map(&:strip).reject(&:empty?)

        # @return [Array(String, Integer)]
        # @raise [Basalt::Mistake]
        def check(server)
          wanted = with_port(server)
          return wanted if all.any? { |one| with_port(one) == wanted }

          known = all.any? ? "from #{all.join(" or ")}" : "from nowhere"
          raise Basalt::Mistake, "Databases are read here #{known}: #{ALLOWED} says what else is allowed, such as db.example:5432."
        end

        def with_port(server)
          host, port = server.to_s.strip.match(/\A(.+?)(?::(\d{1,5}))?\z/)&.captures
          raise Basalt::Mistake, "Say the server, such as db.example:5432" unless host

          [host, (port || PORT).to_i]
        end
      end
    end
  end
end
