# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # The provider that is played beside the sample.
      module StandIn
        module_function

        # @return [String] the variable that tells where it is
        def variable = Endpoints::STAND_IN

        # How many resources its account has: as many as one asks for.
        SIZE = "BASALT_STANDIN_RESOURCES"

        # @return [#call] a Rack application
        def app
          require File.join(APPLICATION_ROOT, "standins/cloud/server")
          Standins::Cloud::Server.new(Standins::Cloud::Account.of(ENV.fetch(SIZE, "60").to_i.clamp(1, 100_000)).document)
        end

        # @return [String] what whoever wants to try it has to know
        def words(url) =
          "A cloud account to try is at #{url}, key #{Standins::Cloud::Server::KEY}, secret “#{Standins::Cloud::Server::SECRET}”"
      end
    end
  end
end
