# frozen_string_literal: true

require_relative "../config/load"

exit CommandLine::Main.run(ARGV)
