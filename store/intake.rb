# frozen_string_literal: true

module Store
  # An inventory on its way in.
  class Intake < ActiveRecord::Base
    self.table_name = "intakes"

    def table = Basalt::Formats::CSV.new(content)
    def finished? = %w[done refused cancelled].include?(state)

    # Seconds in which a thread has begun.
    GRACE = 10

    # While the block runs, the database knows that somebody works on it; it forgets that with the connection.
    def worked_on
      connection = self.class.connection
      connection.exec_query("SELECT 1 FROM pg_advisory_lock($1)", "work", [key])
      yield
    ensure
      connection.exec_query("SELECT pg_advisory_unlock($1)", "work", [key])
    end

    # @return [Boolean] whether it should be worked on and nobody does
    def lost?
      return false unless state == "running" && (started_at.nil? || Time.now.utc - started_at > GRACE)

      free = self.class.connection.exec_query("SELECT pg_try_advisory_lock($1)", "work", [key]).rows.dig(0, 0)
      self.class.connection.exec_query("SELECT pg_advisory_unlock($1)", "work", [key]) if free
      free
    end

    private

    def key = id.delete("-")[16, 15].to_i(16)
  end
end
