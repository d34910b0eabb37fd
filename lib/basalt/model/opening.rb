# frozen_string_literal: true

module Basalt
  module Model
    # A sheet that an element opens into: through a link, or because the sheet is about it.
    Opening =
      Value.of(:sheet, :link) do
        # @return [String] what it is called
        def title = link&.title || sheet.name
      end
  end
end
