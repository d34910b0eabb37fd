# frozen_string_literal: true

require "open3"
require "tempfile"

module Store
  # The schema of a database as a script, read from its catalogue by PostgreSQL's own pg_dump. Nothing of the database is altered, and
  # nothing but its schema is read.
  class Dump
    # The database cannot be reached, or does not let itself be read.
    class Failed < Basalt::Mistake
    end

    # Seconds.
    LONGEST = 300

    # @param address [Hash] +host+, +port+, +dbname+, +user+, +password+, +sslmode+
    # @param without [Array<Array(String, String)>] schemas and names of what is not looked at
    def initialize(address, without: [])
      @address = address
      @without = without
    end

    # @yieldparam line [String] what pg_dump is about, now and then
    # @return [String]
    # @raise [Failed]
    def script(&)
      output = Tempfile.new("schema")
      said = run(output.path, &)
      raise Failed, Dump.told(said) unless said.nil?

      File.read(output.path, encoding: "UTF-8")
    ensure
      output&.close!
    end

    # @return [String] what a person has to know of what the server or pg_dump says
    def self.told(text)
      line = text.lines.map(&:strip).grep(/error|fatal|failed/i).first || text.lines.last.to_s.strip
      "The database does not let itself be read: #{line.sub(/\Apg_dump: (?:error|fatal): /, "").sub(/\A.*FATAL:\s*/, "")}"
    end

    def self.program
      found = Dir["/usr/lib/postgresql/*/bin/pg_dump"].max_by { |path| path[%r{postgresql/(\d+)}, 1].to_i }
      found || raise(Failed, "pg_dump is not installed here, and no database can be read without it")
    end

    private

    # @return [String, nil] nil where it went well
    def run(path)
      Open3.popen3(environment, Dump.program, *arguments(path), pgroup: true) do |input, output, errors, thread|
        input.close
        output.close
        said = errors.each_line.select do |line|
          yield line if block_given?
          line.match?(/error|fatal/i)
        end
        thread.value.success? ? nil : said.join
      ensure
        Process.kill("TERM", -thread.pid) if thread.alive?
      end
    rescue Errno::ESRCH
      nil
    end

    # The password stands in no list of processes.
    def environment
      { "PGPASSWORD" => @address[:password].to_s, "PGCONNECT_TIMEOUT" => "10", "PGSSLMODE" => @address[:sslmode] || "prefer",
        "PGOPTIONS" => "-c statement_timeout=#{LONGEST}s -c default_transaction_read_only=on", "LC_MESSAGES" => "C" }
    end

    def arguments(path)
      place = { "--host" => @address[:host], "--port" => @address[:port], "--username" => @address[:user], "--dbname" => @address[:dbname] }
      left = @without.map { |schema, name| "--exclude-table=#{[schema, name].map { |one| "\"#{one.gsub('"', '""')}\"" }.join(".")}" }
      ["--schema-only", "--no-owner", "--no-privileges", "--no-tablespaces", "--verbose", "--no-password", "--file=#{path}", *left,
       *place.compact.map { |option, value| "#{option}=#{value}" }]
    end
  end
end
