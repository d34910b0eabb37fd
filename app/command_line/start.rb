# frozen_string_literal: true
module CommandLine
  class Start < Command
    USAGE = "bin/basalt start [--empty]"
    SUMMARY = "Serves the application."
  end
end
