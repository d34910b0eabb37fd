# frozen_string_literal: true

require "zeitwerk"
require "securerandom"

# The core: the typed model, the statements, the checks and the drawing. It opens
# no socket, no database and no file that it was not handed, and knows no HTML.
module Basalt
  LOADER = Zeitwerk::Loader.new.tap do |loader|
    loader.push_dir(__dir__)
    loader.inflector.inflect("svg" => "SVG", "csv" => "CSV", "sql_name" => "SQLName", "sql_text" => "SQLText",
                             "sqlite" => "SQLite", "mariadb" => "MariaDB")
    loader.setup
  end

  # Every mistake that a person can mend. +message+ is written for that person.
  class Mistake < StandardError; end

  # A file that is not what it should be; +message+ says why.
  class Unreadable < Mistake; end
end
