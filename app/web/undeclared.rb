# frozen_string_literal: true

module Web
  # A statement that speaks of what nobody declared; +lines+ would declare it.
  class Undeclared < Basalt::Mistake
    # @param lines [Array<String>]
    def initialize(message, lines)
      super(message)
      @lines = lines
    end

    attr_reader :lines
  end
end
