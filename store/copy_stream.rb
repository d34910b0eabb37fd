# frozen_string_literal: true

require "pg"

module Store
  # Brings rows into a table as a stream (PostgreSQL, COPY): the server writes what came while the next is made, and neither
  # parses statements nor plans them.
  class CopyStream
    EMPTY = {}.freeze
    # What the connection itself says, in the words of all other statements.
    TOLD = {
      PG::UniqueViolation => ActiveRecord::RecordNotUnique,
      PG::ForeignKeyViolation => ActiveRecord::InvalidForeignKey,
      PG::ConnectionBad => ActiveRecord::ConnectionFailed,
      PG::UnableToSend => ActiveRecord::ConnectionFailed,
      PG::AdminShutdown => ActiveRecord::ConnectionFailed,
      PG::Error => ActiveRecord::StatementInvalid
    }.freeze
    private_constant :EMPTY, :TOLD

    # @param table [Symbol]
    # @param columns [Array<Symbol>] of the rows, in their order
    # @yieldparam table [CopyStream] takes rows
    # @raise [ActiveRecord::RecordNotUnique, ActiveRecord::InvalidForeignKey]
    # @raise [ActiveRecord::ConnectionFailed] when the server went away meanwhile
    # @raise [ActiveRecord::StatementInvalid] when it refuses a row for another reason
    def self.into(table, columns)
      raw = ActiveRecord::Base.connection.raw_connection
      stream = new(raw, table, columns)
      raw.copy_data("COPY #{table} (#{columns.join(", ")}) FROM STDIN", PG::TextEncoder::CopyRow.new) { yield stream }
    rescue *TOLD.keys => e
      raise TOLD.find { |type, _| e.is_a?(type) }.last, e.message
    end

    # What is to be known of the table is asked before: nothing else can be said while the stream runs.
    def initialize(raw, table, columns)
      @raw = raw
      known = ActiveRecord::Base.connection.schema_cache.columns_hash(table.to_s)
      @json = columns.map { |column| known.fetch(column.to_s).type == :jsonb }
    end

    # @param values [Array<Object>] of a row, in the order of the columns
    def <<(values) = @raw.put_copy_data(values.each_with_index.map { |value, index| written(value, index) })

    private

    def written(value, index)
      return if value.nil?

      return value.to_s unless @json[index]

      value == EMPTY ? "{}" : JSON.generate(value)
    end
  end
end
