# frozen_string_literal: true

module Store
  # Runs a script in a scratch database of the real server.
  class Proof
    # Seconds for all of it.
    ALL = 30

    # How it ended: the number of statements that ran, and of the one that failed the server's
    # own +message+, the +element_id+ and the +part_id+ it is about and the +line+ of SQL that the server points at.
    Outcome = Basalt::Value.of(:ran, :message, :element_id, :part_id, :line) { def passed? = message.nil? }

    # In one transaction, as whoever loads the script may do it.
    #
    # @param statements [Array<#text, #element_id, #parts>]
    # @return [Outcome]
    # @raise [Basalt::Mistake] where the server does not give a scratch database
    def self.of(statements) = Scratch.open { |scratch| new(scratch).whole(statements) }

    # @param scratch [Scratch]
    def initialize(scratch)
      @scratch = scratch.connection
      @ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + ALL
    end

    # @return [Outcome]
    def whole(statements)
      @scratch.exec("BEGIN")
      outcome = each_of(statements)
      @scratch.exec("COMMIT") if outcome.passed?
      outcome
    rescue PG::ConnectionBad, PG::UnableToSend
      raise
    rescue PG::Error => e
      # What is put off to the end is looked at there.
      Outcome.new(ran: statements.length, message: e.result&.error_field(PG::Result::PG_DIAG_MESSAGE_PRIMARY) || e.message.strip)
    end

    # One after the other, each for itself.
    #
    # @return [Outcome]
    def each_of(statements)
      statements.each_with_index do |statement, index|
        return late(index, statement) if Process.clock_gettime(Process::CLOCK_MONOTONIC) > @ends

        # Taken alone: no second command can be hidden in a name, a type or an expression.
        @scratch.exec_params(statement.text, [])
      rescue PG::ConnectionBad, PG::UnableToSend
        raise
      rescue PG::Error => e
        return failed(index, statement, e)
      end
      Outcome.new(ran: statements.length)
    end

    private

    def late(index, statement)
      Outcome.new(ran: index, message: "the script takes longer than #{ALL} seconds", element_id: statement.element_id)
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
  end
end
