# frozen_string_literal: true

module Basalt
  module Formats
    # The journal in a project document: each act with the rows before and after.
    module JournalRows
      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        twice = rows.map { |row| row["number"] }.tally.find { |_, count| count > 1 }
        raise ProjectDocument::Damaged.new("/journal", "two acts have the number #{twice[0]}") if twice

        rows.each_with_index do |row, index|
          raise ProjectDocument::Damaged.new("/journal/#{index}/at", "it is no time") unless time?(row["at"])
        end
      end

      def time?(text)
        Time.iso8601(text)
        true
      rescue ArgumentError
        false
      end
    end
  end
end
