# frozen_string_literal: true

require "csv"

module Basalt
  module Formats
    # Tables of separated values, whatever their encoding and separator.
    class CSV
      LIMIT = 10_000_000
      ROWS = 50_000
      COLUMNS = 200
      SEPARATORS = [",", ";", "\t", "|"].freeze
      MARKS = { "UTF-8" => "\xEF\xBB\xBF", "UTF-16LE" => "\xFF\xFE", "UTF-16BE" => "\xFE\xFF" }.transform_values(&:b).freeze

      # A file that cannot be read as a table.
      class Unreadable < Basalt::Unreadable; end

      # What a spreadsheet would work out: a minus too, unless it is a number's.
      FORMULA = /\A(?:[=+@\t\r]|-(?!\d+(?:[.,]\d+)?\z|\z))/

      # @!attribute [r] line
      #   @return [Integer] where the row begins in the file
      Row = Value.of(:line, :cells)

      # @param bytes [String]
      # @raise [Unreadable]
      def initialize(bytes)
        raise Unreadable, "the file is larger than #{LIMIT / 1_000_000} MB" if bytes.bytesize > LIMIT
        raise Unreadable, "the file is empty" if bytes.b.strip.empty?

        @text = decode(bytes.b)
        @separator = likely_separator
        @headings, *@rows = read
        refuse_shape
      end

      # @return [Array<String>]
      def headings = @headings.cells

      # @return [Array<Row>]
      attr_reader :rows, :separator

      # @param rows [Array<Array>]
      # @return [String] with commas, as of RFC 4180
      def self.write(rows)
        ::CSV.generate(row_sep: "\r\n") { |csv| rows.each { |row| csv << row.map { |cell| harmless(cell) } } }
      end

      # A cell that a spreadsheet would take for a formula is made a text.
      def self.harmless(cell)
        cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
      end

      # A cell as it was before it was made harmless.
      def self.meant(cell) = cell.to_s.strip.sub(/\A'(?=[=+@-])/, "")

      private

      # The byte-order mark decides; then UTF-8; then the Western European code page of
      # desktop machines, in which every byte but five stands for a character.
      def decode(bytes)
        encoding, mark = MARKS.find { |_, start| bytes.start_with?(start) }
        return convert(bytes.byteslice(mark.bytesize..), encoding) if encoding
        raise Unreadable, "this is a binary file, not a table" if bytes.include?("\0") || bytes.start_with?("PK\x03\x04", "%PDF")

        text = bytes.dup.force_encoding("UTF-8")
        text.valid_encoding? ? text : convert(bytes, "Windows-1252")
      end

      def convert(bytes, encoding)
        text = bytes.force_encoding(encoding).encode("UTF-8", undef: :replace, invalid: :replace, replace: "\uFFFD")
        raise Unreadable, "this is a binary file, not a table" if text.count("\u0000-\u0008\uFFFD") > text.length / 50

        text
      end

      def likely_separator
        first = @text.each_line.find { |line| !line.strip.empty? }.gsub(/"[^"]*"/, "")
        SEPARATORS.max_by { |mark| first.count(mark) }
      end

      def read
        parser = ::CSV.new(StringIO.new(@text.gsub(/\r\n?/, "\n")), col_sep: separator)
        rows = []
        line = 1
        while (cells = parser.shift)
          rows << Row.new(line:, cells: cells.map { |cell| cell.to_s.strip }) unless cells.empty?
          line += 1 + cells.sum { |cell| cell.to_s.count("\n") }
          raise Unreadable, "the table has more than #{ROWS} rows" if rows.length > ROWS + 1
        end
        rows
      rescue ::CSV::MalformedCSVError => e
        raise Unreadable, "line #{e.lineno}: a quoted cell is not closed, or holds a quote that is not doubled"
      end

      def refuse_shape
        raise Unreadable, "the table has no heading row" if @headings.nil? || @headings.cells.all?(&:empty?)
        raise Unreadable, "the table has #{@headings.cells.length} columns; at most #{COLUMNS} are read" if @headings.cells.length > COLUMNS
        raise Unreadable, "the table has headings and no rows" if @rows.empty?
      end
    end
  end
end
