# frozen_string_literal: true

module Basalt
  module Statements
    # Statements that say something in common stand in a block: it opens with what that is and a colon, holds lines and
    # further blocks, and closes with +end+. A line in it is understood as if it said that itself, unless it says otherwise. Where lines
    # stand in order, some of them too go on until +end+; these and their ends are lines like the others.
    module Blocks
      CLOSE = "end"
      INDENT = "  "
      # At most so many stand in each other.
      DEPTH = 100
      # A line in its text, the head of the innermost block that it stands in, and whether it opens or closes one.
      Piece = Value.of(:text, :head, :mark)

      module_function

      # @param lines [Array<String>]
      # @param notation_name [String, nil] of the sheet on which the first of them stand
      # @param whole [Boolean] whether the lines are all there are, and what they open is closed in them
      # @return [Array<Piece>] one for each line
      # @raise [Misread] with the number of the line, where a block is not closed, or something is closed that is not open
      def of(lines, notation_name = nil, whole: true)
        open = []
        pieces = lines.each_with_index.map do |line, index|
          notation_name = opened(line) || notation_name
          piece(line, index + 1, open, notation_name, whole)
        end
        left = whole ? open.last : open.reverse.find { |one| !one.spans }
        raise Misread.new("“#{left.words}” is not closed; there could stand “#{CLOSE}”", line: left.number) if left

        pieces
      end

      # @return [String, nil] what a line opens a block with
      def head(line)
        words = line.rstrip.end_with?(":") && line.strip.match(/\A(.+?)\s*:\z/)&.[](1)
        words if words && Grammar.block_words.include?(words.split.first)
      end

      # @param piece [Piece]
      # @return [String] the line as it would stand outside of all blocks
      def whole(piece, context)
        return piece.text if piece.head.nil? || piece.mark || Line.empty?(piece.text) || says_itself?(piece, context)

        "#{piece.text.sub(/[\s,]+\z/, '')}, #{piece.head}"
      end

      # @return [Misread] about the line that was written, and not about what the block adds to it
      def told_of(piece, error)
        return error unless error.at && error.at >= piece.text.strip.length

        Misread.new("this cannot stand in the block “#{piece.head}:”", line: error.line)
      end

      # @param told [Array<Array(String, Array<String>)>] ids of elements with the sentences about them, in order
      # @return [Array<Array(String, Array<String>)>] the same, with blocks around what several of them say alike
      def around(unparser, told)
        fold(told.map { |id, lines| [id, lines, lines.one? ? heads(unparser, id) : []] }, 0)
      end

      # What is open: the head of a block, or a line that +spans+ those up to its end.
      Open = Value.of(:head, :words, :number, :spans)
      private_constant :Open

      class << self
        private

        def piece(line, number, open, notation_name, whole)
          around = open.reject(&:spans).last&.head
          if (found = Blocks.head(line))
            put(open, Open.new(head: found, words: "#{found}:", number:))
            return Piece.new(text: line, head: around, mark: :open)
          end
          put(open, Open.new(words: line.strip, number:, spans: true)) if spans?(line, notation_name)
          return Piece.new(text: line, head: around) unless line.strip == CLOSE

          closed(line, number, open, notation_name, whole)
        end

        def put(open, one)
          raise Misread.new("blocks stand in each other at most #{DEPTH} deep", line: one.number) if open.length >= DEPTH

          open << one
        end

        def spans?(line, notation_name)
          words = Grammar.spanning(notation_name)
          !words.empty? && words.include?(line.split(" ", 2).first)
        end

        # @return [String, nil] the notation of the sheet that a line opens
        def opened(line)
          return unless line.lstrip.start_with?("sheet ")

          tokens = Tokens.of(line)
          colon = tokens.index { |token| token.mark? && token.text == ":" } or return
          tokens.drop(colon + 1).take_while(&:word?).map(&:text).join(" ")
        end

        def closed(line, number, open, notation_name, whole)
          one = open.pop
          # What was opened before these lines is closed by them.
          return Piece.new(text: line) if one&.spans || (one.nil? && !whole && Grammar.spanning(notation_name).any?)
          raise Misread.new("there is no block to end here", line: number) unless one

          Piece.new(text: line, head: one.head, mark: :close)
        end

        def says_itself?(piece, context)
          _, form, said = Line.read(piece.text, context)
          form && said.fetch(:qualities, []).any? { |quality, _| quality.blocks }
        end

        # From the outermost inwards.
        def heads(unparser, id)
          element = unparser.set.element(id)
          quality = Grammar.block_quality(element.kind) or return []
          quality.blocks.call(unparser.set, element).map { |around| unparser.block_head(quality, around) }
        end

        # Runs of sentences with the same head become a block.
        def fold(told, depth)
          runs(told, depth).flat_map do |run|
            head = run.first[2][depth]
            next run.map { |id, lines, heads| [id, lines.map { |line| inner(line, heads, depth) }] } if head.nil? || run.length < 2

            [[nil, ["#{head}:"]], *fold(run, depth + 1).map { |id, lines| [id, lines.map { |line| INDENT + line }] }, [nil, [CLOSE]]]
          end
        end

        def runs(told, depth)
          told.each_with_object([]) do |one, runs|
            head = one[2][depth]
            head && runs.any? && runs.last[0][2][depth] == head ? runs.last << one : runs << [one]
          end
        end

        # What the block around a sentence says it need not say itself.
        def inner(line, heads, depth)
          depth.positive? && heads.length == depth ? line.delete_suffix(", #{heads.last}") : line
        end
      end
    end
  end
end
