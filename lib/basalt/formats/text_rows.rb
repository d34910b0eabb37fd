# frozen_string_literal: true

module Basalt
  module Formats
    # The words of sources in a project document.
    module TextRows
      LIMIT = 10_000_000
      COLUMNS = { "source_id" => DocumentRows::ID, "version" => ->(value) { value.is_a?(Integer) && value.between?(1, 9999) },
                  "content" => ->(value) { value.is_a?(String) && value.bytesize <= LIMIT && !value.include?("\0") } }.freeze

      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        rows.each_with_index do |row, index|
          (COLUMNS.keys | row.keys).each do |column|
            fine = COLUMNS.key?(column) && !row[column].nil? && COLUMNS[column].call(row[column])
            raise DocumentRows.damaged("/texts/#{index}/#{column}", row.key?(column) ? "it is not what belongs here" : "it is missing") unless fine
          end
        end
        twice = rows.map { |row| row.values_at("source_id", "version") }.tally.find { |_, count| count > 1 }
        raise DocumentRows.damaged("/texts", "version #{twice[0][1]} of a source is there twice") if twice
      end
    end
  end
end
