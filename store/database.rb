# frozen_string_literal: true

require "active_record"
require "pg"

module Store
  # The connection, and the tables' present shape.
  module Database
    MIGRATIONS = File.join(APPLICATION_ROOT, "store/migrations")

    module_function

    # Connections, one for each thread that serves or works.
    POOL = 10

    # @param url [String]
    # @param own [Boolean] whether the server is Basalt's own, and serves nothing else
    def connect(url, own: false)
      @own = own
      @url = url
      ActiveRecord::Base.establish_connection(
        url:,
        adapter: "postgresql",
        pool: POOL,
        prepared_statements: true,
        connect_timeout: 5,
        idle_timeout: 60
      )
      ActiveRecord::Base.logger = nil
      ActiveRecord.default_timezone = :utc
    end

    # The same database after its server was started again, perhaps elsewhere.
    def reconnect(url)
      if url == @url
        ActiveRecord::Base.connection_pool.disconnect
      else
        connect(url, own: own?)
      end
    rescue ActiveRecord::ExclusiveConnectionTimeoutError
      # Connections that are in use find out by themselves.
      nil
    end

    def own? = @own == true

    # Brings the tables up to date; two that start at once wait for each other.
    def migrate
      ActiveRecord::Migration.verbose = false
      ActiveRecord::MigrationContext.new(MIGRATIONS).migrate
    end

    # @return [Boolean] whether the server answers
    def alive?
      ActiveRecord::Base.connection.active?
    rescue ActiveRecord::ConnectionNotEstablished, PG::Error
      false
    end
  end
end
