# frozen_string_literal: true

require "open3"
require "tmpdir"

module Store
  # Runs a script on another engine than PostgreSQL, in a database that is made for it and gone afterwards.
  module EngineProof
    # Seconds.
    ALL = 30

    module_function

    # @param engine [String]
    # @return [String, nil] why nothing can be proved on it here
    def missing(engine)
      case engine
      when "sqlite" then nil
      when "mariadb"
        "MariaDB is not installed here, so nothing can be proved on it: apt-get install mariadb-server" unless MariaDB.there?
      else "There is no server of it that anything could be proved on."
      end
    end

    # @param statements [Array<#text, #element_id, #parts>]
    # @return [Proof::Outcome]
    # @raise [Basalt::Mistake] where the engine is not here
    def of(engine, statements)
      why = missing(engine) and raise Basalt::Mistake, why
      engine == "sqlite" ? SQLite.of(statements) : MariaDB.of(statements)
    end

    # @return [Proof::Outcome] of a statement that the engine does not take
    def failed(statements, index, message, line = nil)
      statement = statements[index]
      text = line && statement.text.lines[line]
      Proof::Outcome.new(ran: index, message:, element_id: statement.element_id, part_id: line && statement.parts&.at(line),
                         line: text&.strip&.delete_suffix(","))
    end

    # In memory, without a way to any file.
    module SQLite
      MEMORY = 100_000_000

      module_function

      def of(statements)
        require "sqlite3"
        database = SQLite3::Database.new(":memory:")
        database.execute("PRAGMA hard_heap_limit = #{MEMORY}")
        database.statement_timeout = ALL * 1000
        database.authorizer { |action, *| action == SQLite3::Constants::ATTACH ? 1 : 0 } if SQLite3::Constants.const_defined?(:ATTACH)
        run(database, statements)
      ensure
        database&.close
      end

      def run(database, statements)
        statements.each_with_index do |statement, index|
          database.execute(statement.text)
        rescue SQLite3::Exception => e
          return EngineProof.failed(statements, index, e.message.lines.first.strip)
        end
        Proof::Outcome.new(ran: statements.length)
      end
    end

    # On a server of its own, without a network.
    module MariaDB
      PROGRAMS = %w[mariadbd mariadb-install-db mariadb].freeze
      PLACES = "/usr/sbin:/usr/bin:/usr/local/bin:/usr/local/sbin"
      # How its folder is set up, and what it does without.
      PLAIN = %w[--auth-root-authentication-method=normal --skip-test-db].freeze
      ALONE = %w[--skip-networking --skip-grant-tables --innodb-flush-log-at-trx-commit=0].freeze
      # How a failure is told: the line of the script, and why.
      ERROR = /^ERROR \d+ \(\w+\) at line (\d+)(?: in file: '[^']*')?: (.*)/m

      module_function

      def there? = PROGRAMS.all? { |one| path(one) }
      def path(program) = PLACES.split(":").map { |place| File.join(place, program) }.find { |file| File.executable?(file) }

      def of(statements)
        Dir.mktmpdir("basalt-mariadb") do |folder|
          FileUtils.chown("mysql", nil, folder) if Process.uid.zero?
          server = start(folder)
          tell(statements, script(folder, statements))
        ensure
          stop(server)
        end
      end

      # As a list, so that no shell reads it; nothing of the machine's own settings counts.
      def command(program, *arguments) = [path(program), "--no-defaults", *arguments]

      # @return [String, nil] what the program says when it refuses
      def refusal(command, text = "")
        said, status = Open3.capture2e(*command, stdin_data: text)
        said unless status.success?
      end

      def run(command) = spawn(*command, out: File::NULL, err: File::NULL)

      def user = Process.uid.zero? ? ["--user=mysql"] : []
      def socket(folder) = File.join(folder, "s")

      def start(folder)
        said = refusal(command("mariadb-install-db", "--datadir=#{folder}/data", *user, *PLAIN))
        raise Basalt::Mistake, "MariaDB does not set up its folder: #{said.lines.last}" if said

        server = run(command("mariadbd", "--datadir=#{folder}/data", "--socket=#{socket(folder)}", "--pid-file=#{folder}/data/pid",
                             *user, *ALONE))
        await(folder)
        server
      end

      def await(folder)
        ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + ALL
        until File.socket?(socket(folder))
          raise Basalt::Mistake, "MariaDB does not start" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends

          sleep(0.05)
        end
      end

      def stop(server)
        return unless server

        Process.kill("KILL", server)
        Process.wait(server)
      end

      # @return [String, nil] what the client says where it stops
      def script(folder, statements)
        text = ["CREATE DATABASE proof CHARACTER SET utf8mb4; USE proof; SET max_statement_time = #{ALL};",
                *statements.map(&:text)].join("\n")
        refusal(command("mariadb", "--socket=#{socket(folder)}", "--batch", "--default-character-set=utf8mb4"), text)
      end

      def tell(statements, said)
        return Proof::Outcome.new(ran: statements.length) unless said

        number, message = said.match(ERROR)&.captures
        return Proof::Outcome.new(ran: 0, message: said.strip) unless number

        # The client counts from the line on which the statement begins.
        index = at(statements, number.to_i - 2)
        EngineProof.failed(statements, index, message.strip)
      end

      def at(statements, line)
        before = 0
        statements.each_index.find { |index| (before += statements[index].text.count("\n") + 1) > line } || (statements.length - 1)
      end
    end
  end
end
