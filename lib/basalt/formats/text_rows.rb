# frozen_string_literal: true

module Basalt
  module Formats
    # The words of sources in a project document.
    module TextRows
      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        twice = rows.map { |row| row.values_at("source_id", "version") }.tally.find { |_, count| count > 1 }
        raise ProjectDocument::Damaged.new("/texts", "version #{twice[0][1]} of a source is there twice") if twice
      end
    end
  end
end
