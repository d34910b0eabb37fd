# frozen_string_literal: true

module Web
  module Families
    module Data
      # The database that is there to be read beside the sample, on Basalt's own server.
      module StandIn
        class << self
          # @return [String, nil] what whoever wants to try it has to know; nil where Basalt's server is somebody else's
          def begin
            return unless Store::Database.own?

            require File.join(APPLICATION_ROOT, "standins/database/server")
            ActiveRecord::Base.connection_pool.with_connection do |held|
              server = held.raw_connection
              Standins::Database::Server.new(server).begin
              ENV[Databases::STAND_IN] = "#{server.host}:#{server.port}"
            end
            words
          rescue PG::Error => e
            "The database to try is not there: #{e.message.lines.first.strip}"
          end

          private

          def words
            server = Standins::Database::Server
            "A database to read is #{server::NAME} at #{ENV.fetch(Databases::STAND_IN)}, role #{server::ROLE}, " \
              "password “#{server::PASSWORD}”"
          end
        end
      end
    end
  end
end
