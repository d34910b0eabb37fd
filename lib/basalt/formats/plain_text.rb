# frozen_string_literal: true

module Basalt
  module Formats
    # The words of a text that somebody brings, whatever its encoding: by its mark, then UTF-8, then
    # the Western European code page of desktop machines.
    module PlainText
      MARKS = { "UTF-8" => "\xEF\xBB\xBF".b, "UTF-16LE" => "\xFF\xFE".b, "UTF-16BE" => "\xFE\xFF".b }.freeze
      BINARY = ["PK\x03\x04".b, "%PDF".b, "\xD0\xCF\x11\xE0".b, "{\\rtf".b].freeze

      module_function

      # @param bytes [String]
      # @return [String] UTF-8, lines ended by one character
      # @raise [Mistake] when it is no text
      def read(bytes)
        bytes = bytes.b
        encoding, mark = MARKS.find { |_, start| bytes.start_with?(start) }
        if BINARY.any? { |start| bytes.start_with?(start) }
          raise Mistake, "This is no plain text but a file of a word processor or a PDF: save it as text or Markdown first"
        end

        text = encoding ? convert(bytes.byteslice(mark.bytesize..), encoding) : guessed(bytes)
        raise Refusals::Binary if text.include?("\0")

        text.gsub(/\r\n?/, "\n").unicode_normalize(:nfc)
      end

      def guessed(bytes)
        text = bytes.dup.force_encoding("UTF-8")
        text.valid_encoding? ? text : convert(bytes, "Windows-1252")
      end

      def convert(bytes, encoding)
        bytes.dup.force_encoding(encoding).encode("UTF-8")
      rescue EncodingError
        raise Mistake, "The text is in an encoding that is not known here: save it as UTF-8"
      end
    end
  end
end
