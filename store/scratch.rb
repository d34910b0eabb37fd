# frozen_string_literal: true

module Store
  # A scratch database on the real server, with a role that owns it and can reach nothing else, within limits on time and space. Both are
  # gone afterwards.
  class Scratch
    # Seconds for one statement.
    STATEMENT = 5
    # How the databases and their roles are called: when they were made, in seconds and to the base of 16, and by chance.
    NAME = /\Aproof_(\h{8})_\h{16}\z/
    # Seconds after which one belongs to a run that was broken off.
    LEFT = 300
    LIMITS = {
      "statement_timeout" => "#{STATEMENT}s", "lock_timeout" => "2s", "temp_file_limit" => "100MB",
      "idle_in_transaction_session_timeout" => "10s"
    }.freeze

    # @yieldparam scratch [Scratch]
    # @raise [Basalt::Mistake] where the server does not give one, or goes away
    def self.open(&) = new.open(&)

    def initialize
      @name = format("proof_%08x_%s", Time.now.to_i, SecureRandom.hex(8))
      @password = SecureRandom.hex(16)
    end

    def open
      sweep
      make
      yield self
    rescue PG::InsufficientPrivilege
      raise Basalt::Mistake, "The server does not let Basalt make a scratch database, so nothing can be proved on it."
    rescue PG::ConnectionBad, PG::UnableToSend
      raise Basalt::Mistake, "The server went away while the script ran. Nothing of it was kept."
    ensure
      @connection&.close unless @connection&.finished?
      clear
    end

    # @return [PG::Connection] as the role of the scratch database
    def connection = @connection ||= PG.connect(**address)

    # @return [String] what stands in it now, as a script
    def dump = Dump.new(address).script

    private

    def address = { host: admin.host, port: admin.port, dbname: @name, user: @name, password: @password }

    def make
      admin.exec(
        "CREATE ROLE #{@name} LOGIN PASSWORD '#{@password}' NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION CONNECTION LIMIT 3"
      )
      LIMITS.each { |setting, value| admin.exec("ALTER ROLE #{@name} SET #{setting} = '#{value}'") }
      admin.exec("CREATE DATABASE #{@name} OWNER #{@name} TEMPLATE template0")
      # On a server of Basalt's own whoever may not say so may not reach what it keeps either; of a server
      # that is somebody else's no rights are altered.
      admin.exec("REVOKE CONNECT ON DATABASE #{PG::Connection.quote_ident(admin.db)} FROM PUBLIC") if Database.own?
    end

    # What a run that was killed could not take away.
    def sweep
      left = admin.exec("SELECT datname FROM pg_database UNION SELECT rolname FROM pg_roles").column_values(0)
      left.each { |name| drop(name) if name[NAME, 1]&.then { |made| made.to_i(16) < Time.now.to_i - LEFT } }
    rescue PG::InsufficientPrivilege, PG::ObjectInUse, PG::DependentObjectsStillExist
      nil
    end

    def clear
      drop(@name) if @admin
    rescue PG::Error => e
      warn "the scratch database #{@name} could not be removed: #{e.message}"
    ensure
      @admin&.close
      @admin = nil
    end

    def drop(name)
      admin.exec("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
      admin.exec("DROP ROLE IF EXISTS #{name}")
    end

    # The server that the pages are kept on, however it was named.
    def admin
      @admin ||=
        ActiveRecord::Base.connection_pool.with_connection do |held|
          PG.connect(
            held.raw_connection.conninfo_hash.compact.slice(:host, :hostaddr, :port, :user, :password, :dbname, :sslmode, :sslrootcert)
          )
        end
    end
  end
end
