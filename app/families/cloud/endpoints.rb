# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # The addresses that pages may read accounts from: the stand-in that runs beside the sample, and what whoever runs the application
      # allows.
      module Endpoints
        ALLOWED = "BASALT_CLOUD_ENDPOINTS"
        STAND_IN = "BASALT_STANDIN_URL"

        module_function

        # @return [Array<String>]
        def all = [ENV.fetch(STAND_IN, nil), *ENV.fetch(ALLOWED, "").split(",")].compact.map { |one| one.strip.chomp("/") }.reject(&:empty?)

        # @param url [String]
        # @return [String]
        # @raise [Basalt::Mistake]
        def check(url)
          wanted = url.to_s.strip.chomp("/")
          return wanted if all.include?(wanted)

          known = all.any? ? "from #{all.join(" or ")}" : "from nowhere"
          raise Basalt::Mistake,
                "Accounts are read here #{known}: #{ALLOWED} says what else is allowed. The command “collect” reads from anywhere."
        end
      end
    end
  end
end
