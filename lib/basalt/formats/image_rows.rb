# frozen_string_literal: true

module Basalt
  module Formats
    # The images in a project document.
    module ImageRows
      COLUMNS = { "id" => DocumentRows::ID, "name" => DocumentRows::TEXT, "type" => ->(value) { TYPES.include?(value) }, "width" => DocumentRows::NUMBER,
                  "height" => DocumentRows::NUMBER, "data" => ->(value) { value.is_a?(String) && value.match?(%r{\A[A-Za-z0-9+/]+=*\z}) } }.freeze
      TYPES = %w[image/png image/svg+xml].freeze

      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        rows.each_with_index do |row, index|
          (COLUMNS.keys | row.keys).each do |column|
            fine = COLUMNS.key?(column) && !row[column].nil? && COLUMNS[column].call(row[column])
            raise DocumentRows.damaged("/images/#{index}/#{column}", row.key?(column) ? "it is not what belongs here" : "it is missing") unless fine
          end
        end
      end
    end
  end
end
