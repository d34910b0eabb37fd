# frozen_string_literal: true

require_relative "gems"
require_relative "../lib/basalt"

# Keeping: what stands in the database.
module Store
end

# The pages, and what the families bring to them.
module Web
  module Families
  end
end

# The commands.
module CommandLine
end

# Drawings as files.
module Drawings
end

APPLICATION_ROOT = File.expand_path("..", __dir__)

Zeitwerk::Loader.new.tap do |loader|
  loader.push_dir(File.join(APPLICATION_ROOT, "store"), namespace: Store)
  loader.push_dir(File.join(APPLICATION_ROOT, "app/web"), namespace: Web)
  loader.push_dir(File.join(APPLICATION_ROOT, "app/families"), namespace: Web::Families)
  loader.push_dir(File.join(APPLICATION_ROOT, "app/command_line"), namespace: CommandLine)
  loader.push_dir(File.join(APPLICATION_ROOT, "app/drawings"), namespace: Drawings)
  loader.ignore(
    File.join(APPLICATION_ROOT, "store/migrations"),
    File.join(APPLICATION_ROOT, "app/web/views"),
    *Dir[File.join(APPLICATION_ROOT, "app/families/*/views")]
  )
  loader.setup
end

Basalt::Drawing::Typefaces.use(-> { Drawings::Fonts.bytes })
