# frozen_string_literal: true

module Standins
  module Database
    # A database beside Basalt's own, with a role that may read it and nothing else.
    class Server
      NAME = "tarnwater_meters"
      ROLE = "tarnwater_reader"
      PASSWORD = "a password for trying only"
      SCRIPT = File.join(__dir__, "meters.sql")

      # @param admin [PG::Connection] to the server, as whoever may make databases
      def initialize(admin)
        @admin = admin
      end

      # Makes it where it is not there yet.
      def begin
        @admin.exec("SET client_min_messages = error")
        make_role
        return if @admin.exec_params("SELECT 1 FROM pg_database WHERE datname = $1", [NAME]).any?

        @admin.exec("CREATE DATABASE #{NAME} TEMPLATE template0")
        fill
      end

      private

      def make_role
        known = @admin.exec_params("SELECT 1 FROM pg_roles WHERE rolname = $1", [ROLE]).any?
        @admin.exec("CREATE ROLE #{ROLE} LOGIN NOCREATEDB NOCREATEROLE NOSUPERUSER PASSWORD '#{PASSWORD}'") unless known
        @admin.exec("GRANT pg_read_all_data TO #{ROLE}") unless known
      end

      def fill
        own = PG.connect(**@admin.conninfo_hash.compact.slice(:host, :port, :user, :password), dbname: NAME)
        own.exec(File.read(SCRIPT, encoding: "UTF-8"))
      ensure
        own&.close
      end
    end
  end
end
