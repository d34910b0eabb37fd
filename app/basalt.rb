# frozen_string_literal: true

require_relative "../config/load"

# Also where whoever began it in the background has its children ignore the signal, it is what stops a command.
Signal.trap(:INT, "DEFAULT")

exit CommandLine::Main.run(ARGV)
