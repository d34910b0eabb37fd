# frozen_string_literal: true

require "strscan"

module Basalt
  module Statements
    # Cuts a statement into tokens.
    module Tokens
      # Characters of a line, beside those in long quoted texts, and with them.
      LIMIT = 4000
      MOST = 500_000
      LONG = /"(?:[^"]|""){200,}"/
      MARKS = /[,;()]/
      QUOTED = /"((?:[^"]|"")*)"/
      WORD = /[^\s,;()"]+/
      # Words alone.
      PLAIN = /\A[^,;()":]*\z/

      module_function

      # @param line [String]
      # @return [Array<Token>]
      # @raise [Misread] when the line is too long
      def of(line)
        refuse_long(line) if line.length > LIMIT
        return words(line) if line.ascii_only? && line.match?(PLAIN)

        scanner = StringScanner.new(line.ascii_only? ? line : line.unicode_normalize(:nfc))
        tokens = []
        tokens.concat(scan(scanner)) until (scanner.skip(/\s+/) && scanner.eos?) || scanner.eos?
        tokens
      end

      def refuse_long(line)
        most = [[line.gsub(LONG, ""), LIMIT], [line, MOST]].find { |text, limit| text.length > limit } or return
        raise Misread.new("the line has #{most[0].length} characters; at most #{most[1]} are read")
      end

      # Most lines are such.
      def words(line)
        to = 0
        line.split.map do |text|
          from = line.index(text, to)
          to = from + text.length
          Token.restore([text, :word, from, to])
        end
      end

      def scan(scanner)
        from = scanner.charpos
        if scanner.scan(MARKS)
          [token(scanner.matched, :mark, from)]
        elsif scanner.scan(QUOTED)
          [Token.restore([scanner[1].gsub('""', '"'), :quoted, from, scanner.charpos])] + colon(scanner)
        elsif scanner.scan(WORD)
          word(scanner.matched, from)
        else
          [token(scanner.rest.tap { scanner.terminate }, :unclosed, from)]
        end
      end

      # A colon right behind a quoted name is a mark of its own.
      def colon(scanner)
        from = scanner.charpos
        scanner.scan(/:(?=\s|\z)/) ? [token(":", :mark, from)] : []
      end

      # A colon ends a word and is a mark, unless it belongs to an address such as +fd00::+.
      def word(text, from)
        return [token(text, :word, from)] unless text.end_with?(":") && !text.end_with?("::")
        return [token(":", :mark, from)] if text == ":"

        [token(text[0..-2], :word, from), token(":", :mark, from + text.length - 1)]
      end

      def token(text, type, from)
        Token.restore([text, type, from, from + text.length])
      end
    end
  end
end
