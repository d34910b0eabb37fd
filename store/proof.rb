# frozen_string_literal: true

module Store
  # Runs a script in a scratch database of the real server, as a role that owns that database
  # and can reach nothing else, within limits on time and space; both are gone afterwards.
  class Proof
    # Seconds for one statement, and for all.
    STATEMENT = 5
    ALL = 30

    # How the scratch databases and their roles are called: when they were made, in seconds and to the base of 16, and by chance.
    NAME = /\Aproof_(\h{8})_\h{16}\z/
    # Seconds after which one belongs to a run that was broken off.
    LEFT = 10 * ALL

    # How it ended: the number of statements that ran, and of the one that failed the server's
    # own +message+, the +element_id+ and the +part_id+ it is about and the +line+ of SQL that the server points at.
    Outcome = Basalt::Value.of(:ran, :message, :element_id, :part_id, :line) { def passed? = message.nil? }

    # @param statements [Array<#sql, #element_id, #part_id>]
    # @return [Outcome]
    # @raise [Basalt::Mistake] where the server does not give a scratch database
    def self.of(statements) = new.run(statements)

    def initialize
      @name = format("proof_%08x_%s", Time.now.to_i, SecureRandom.hex(8))
      @password = SecureRandom.hex(16)
      @ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + ALL
    end

    def run(statements)
      sweep
      make
      scratch = PG.connect(**address, dbname: @name, user: @name, password: @password)
      attempt(scratch, statements)
    rescue PG::InsufficientPrivilege
      raise Basalt::Mistake, "The server does not let Basalt make a scratch database, so nothing can be proved on it."
    rescue PG::ConnectionBad, PG::UnableToSend
      raise Basalt::Mistake, "The server went away while the script ran. Nothing of it was kept."
    ensure
      scratch&.close unless scratch&.finished?
      clear
    end

    private

    # In one transaction, as whoever loads the script may do it.
    def attempt(scratch, statements)
      scratch.exec("BEGIN")
      outcome = each_of(scratch, statements)
      return outcome unless outcome.passed?

      scratch.exec("COMMIT")
      outcome
    rescue PG::ConnectionBad, PG::UnableToSend
      raise
    rescue PG::Error => e
      # What is put off to the end is looked at there.
      Outcome.new(ran: statements.length, message: e.result&.error_field(PG::Result::PG_DIAG_MESSAGE_PRIMARY) || e.message.strip)
    end

    def each_of(scratch, statements)
      statements.each_with_index do |statement, index|
        if Process.clock_gettime(Process::CLOCK_MONOTONIC) > @ends
          return Outcome.new(ran: index, message: "the script takes longer than #{ALL} seconds", element_id: statement.element_id)
        end

        # Taken alone: no second command can be hidden in a name, a type or an expression.
        scratch.exec_params(statement.text, [])
      rescue PG::ConnectionBad, PG::UnableToSend
        raise
      rescue PG::Error => e
        return failed(index, statement, e)
      end
      Outcome.new(ran: statements.length)
    end

    def failed(index, statement, error)
      said = error.result
      position = said&.error_field(PG::Result::PG_DIAG_STATEMENT_POSITION)&.to_i
      message = said&.error_field(PG::Result::PG_DIAG_MESSAGE_PRIMARY) || error.message.strip
      number = position && statement.text[0, position - 1].count("\n")
      Outcome.new(
        ran: index,
        message:,
        element_id: statement.element_id,
        part_id: number && statement.parts&.at(number),
        line: number && statement.text.lines[number].strip.delete_suffix(",")
      )
    end

    def make
      admin.exec(
        "CREATE ROLE #{@name} LOGIN PASSWORD '#{@password}' NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION CONNECTION LIMIT 2"
      )
      {
        "statement_timeout" => "#{STATEMENT}s",
        "lock_timeout" => "2s",
        "temp_file_limit" => "100MB",
        "idle_in_transaction_session_timeout" => "10s"
      }.each { |setting, value| admin.exec("ALTER ROLE #{@name} SET #{setting} = '#{value}'") }
      admin.exec("CREATE DATABASE #{@name} OWNER #{@name} TEMPLATE template0")
      # On a server of Basalt's own whoever may not say so may not reach what it keeps either; of a server
      # that is somebody else's no rights are altered.
      admin.exec("REVOKE CONNECT ON DATABASE #{PG::Connection.quote_ident(admin.db)} FROM PUBLIC") if Database.own?
    end

    # What a run that was killed could not take away.
    def sweep
      left = admin.exec("SELECT datname FROM pg_database WHERE datname LIKE 'proof%' UNION SELECT rolname FROM pg_roles WHERE rolname " \
                        "LIKE 'proof%'")
      left.column_values(0).each do |name|
        made = name[NAME, 1] or next
        next if made.to_i(16) > Time.now.to_i - LEFT

        admin.exec("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
        admin.exec("DROP ROLE IF EXISTS #{name}")
      end
    rescue PG::InsufficientPrivilege, PG::ObjectInUse
      nil
    end

    def clear
      return unless @admin

      @admin.exec("DROP DATABASE IF EXISTS #{@name} WITH (FORCE)")
      @admin.exec("DROP ROLE IF EXISTS #{@name}")
    rescue PG::Error => e
      warn "the scratch database #{@name} could not be removed: #{e.message}"
    ensure
      @admin&.close
      @admin = nil
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

    def address = { host: admin.host, port: admin.port }
  end
end
