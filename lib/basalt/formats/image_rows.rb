# frozen_string_literal: true

module Basalt
  module Formats
    # The images in a project document.
    module ImageRows
      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        rows.each_with_index { |row, index| bytes(row, index) }
        twice = rows.map { |row| row["id"] }.tally.find { |_, count| count > 1 }
        raise ProjectDocument::Damaged.new("/images", "two have the id #{twice[0]}") if twice
      end

      # @return [String] the image itself (RFC 4648, 4)
      def bytes(row, index)
        row["data"].unpack1("m0")
      rescue ArgumentError
        raise ProjectDocument::Damaged.new("/images/#{index}/data", "it is not base64")
      end
    end
  end
end
