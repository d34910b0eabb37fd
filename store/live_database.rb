# frozen_string_literal: true

module Store
  # A database that is there, of which the schema is read. A role that may only read is enough.
  class LiveDatabase
    # The role of PostgreSQL that lets read everything and write nothing (PostgreSQL 15, 22.5).
    ROLE = "pg_read_all_data"
    OLDEST = 100_000
    # Relations that pg_dump has to lock, which it may only where it may read them.
    UNREADABLE = <<~SQL.freeze
      SELECT n.nspname, c.relname FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
      WHERE c.relkind IN ('r', 'p', 'm', 'v', 'f', 'S') AND n.nspname !~ '^pg_' AND n.nspname <> 'information_schema'
        AND NOT (has_schema_privilege(n.oid, 'USAGE') AND has_table_privilege(c.oid, 'SELECT'))
      ORDER BY 1, 2
    SQL
    COUNT = <<~SQL.freeze
      SELECT count(*) FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
      WHERE c.relkind IN ('r', 'p', 'm', 'v', 'f', 'S', 'i') AND n.nspname !~ '^pg_' AND n.nspname <> 'information_schema'
    SQL

    # @param address [Hash] see {Dump}
    def initialize(address)
      @address = address
    end

    # @return [Array<String>] names of what the role may not read, once it was read
    attr_reader :unreadable

    # @yieldparam done [Integer] how much of it is read
    # @yieldparam total [Integer] about how much there is
    # @return [String] its schema as a script
    # @raise [Dump::Failed] where it cannot be reached, or goes away
    def script
      left, total = look
      @unreadable = left.map { |names| names.join(".") }
      count = 0
      Dump.new(@address, without: left).script do |line|
        yield (count += 1).clamp(0, total), total if block_given? && line.match?(/: creating /)
      end
    end

    private

    def look
      connection = PG.connect(**@address.compact, connect_timeout: 10)
      raise Dump::Failed, "Databases older than PostgreSQL 10 are not read here" if connection.server_version < OLDEST

      [connection.exec(UNREADABLE).values, [connection.exec(COUNT).getvalue(0, 0).to_i, 1].max]
    rescue PG::Error => e
      raise Dump::Failed, Dump.told(e.message)
    ensure
      connection&.close
    end
  end
end
