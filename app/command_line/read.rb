# frozen_string_literal: true

module CommandLine
  # Tells a file as its reading.
  class Read < Command
    USAGE = "bin/basalt read FILE.basalt"
    SUMMARY = "The reading: plain sentences that give the same model when they are read in again."

    private

    def act
      out.puts Basalt::Statements::Unparser.new(model).project
      0
    end
  end
end
