# frozen_string_literal: true

module Web
  module Presenters
    # What came of cells that were filled in, as the page's scripts read it.
    class Entered
      # @param entry [Basalt::Register::Entry, RegisterTable::Told]
      def initialize(entry)
        @entry = entry
      end

      def refused = JSON.generate(@entry.refused.map { |cell| [cell.row, cell.key, cell.text, cell.reason] })
      def made = JSON.generate(@entry.made)
    end
  end
end
