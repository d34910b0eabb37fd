# frozen_string_literal: true

require "strscan"

module Basalt
  module Data
    module Physical
      # A script as psql takes it, cut into its statements (PostgreSQL 15, 4.1 and the reference of psql): strings, quoted names, bodies
      # between dollars, comments and parentheses are passed over whole. Lines that begin with a backslash are psql's own, and what
      # follows +COPY ... FROM stdin+ is data, of which the rows are counted.
      class SQLText
        # +line+ is where it begins; comments in front of it are no part of it.
        Piece = Value.of(:line, :text)
        COPY = /\ACOPY\s.*\bFROM\s+stdin\b/im
        END_OF_DATA = "\\."
        # What is passed over at once.
        WHOLE = /--[^\n]*|[eE]'(?:[^'\\]|\\.|'')*'|'(?:[^']|'')*'|"(?:[^"]|"")*"/m
        DOLLAR = /\$(?:[[:alpha:]_]\w*)?\$/
        WORD = /[[:alpha:]_]\w*/
        # Words that mean nothing to how it is cut, and what is between words.
        PLAIN = %r{(?:[^'"$;()/\\[:alpha:]_-]+|(?!(?:BEGIN|CASE|END)\b|e')[[:alpha:]_]\w*)+}i

        # @param sql [String]
        def initialize(sql)
          @scanner = StringScanner.new(sql)
          @pieces = []
          @rows = 0
          @commands = 0
          @line = 1
          @counted = 0
          cut
        end

        # @return [Array<Piece>]
        attr_reader :pieces

        # @return [Integer] how many rows of data, and how many lines that psql takes itself
        attr_reader :rows, :commands

        private

        def cut
          fresh
          until @scanner.eos?
            next command if @from.nil? && @scanner.beginning_of_line? && @scanner.check(/\\/)

            token
          end
          finish(@scanner.pos)
        end

        def fresh
          @from = nil
          @depth = 0
          @atomic = 0
        end

        def command
          @scanner.skip(/[^\n]*\n?/)
          @commands += 1
        end

        # Comments and blanks in front of a statement belong to none.
        def token
          return if @from.nil? && (@scanner.skip(/\s+|--[^\n]*/) || comment)

          begin_here
          return if @scanner.skip(WHOLE) || dollars || comment || word
          return @scanner.skip(PLAIN) || @scanner.getch unless @scanner.check(/[;()]/)

          mark(@scanner.getch)
        end

        def begin_here
          return if @from

          @from = @scanner.pos
          @line += @scanner.string.byteslice(@counted, @from - @counted).count("\n")
          @counted = @from
        end

        def mark(char)
          @depth += 1 if char == "("
          @depth -= 1 if char == ")" && @depth.positive?
          return unless char == ";" && @depth.zero? && @atomic.zero?

          finish(@scanner.pos - 1)
        end

        # The body of a function may be statements of its own: BEGIN ATOMIC ... END.
        def word
          found = @scanner.scan(WORD) or return
          case found.upcase
          when "BEGIN" then @atomic = 1 if @atomic.zero? && @scanner.check(/\s+ATOMIC\b/i)
          when "CASE" then @atomic += 1 if @atomic.positive?
          when "END" then @atomic -= 1 if @atomic.positive?
          end
          true
        end

        def dollars
          tag = @scanner.scan(DOLLAR) or return
          @scanner.scan_until(/#{Regexp.escape(tag)}/) || @scanner.terminate
        end

        def comment
          return unless @scanner.skip(%r{/\*})

          depth = 1
          while depth.positive? && @scanner.skip_until(%r{/\*|\*/})
            depth += @scanner.matched == "/*" ? 1 : -1
          end
          @scanner.terminate if depth.positive?
          true
        end

        def finish(to)
          text = @from && @scanner.string.byteslice(@from, to - @from).strip
          line = @line
          fresh
          return if text.nil? || text.empty?

          @pieces << Piece.new(line:, text:)
          data if text.match?(COPY)
        end

        def data
          @scanner.skip(/[^\n]*\n?/)
          until @scanner.eos?
            row = @scanner.scan(/[^\n]*\n?/)
            break if row.chomp == END_OF_DATA

            @rows += 1
          end
        end
      end
    end
  end
end
