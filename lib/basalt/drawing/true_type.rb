# frozen_string_literal: true

require "ttfunk"

module Basalt
  module Drawing
    # A typeface as a TTF file, read when something is measured for the first time.
    TrueType = TTFunk::File
  end
end
