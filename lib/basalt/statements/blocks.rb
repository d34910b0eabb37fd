# frozen_string_literal: true

module Basalt
  module Statements
    # Statements that say something in common stand in a block: it opens with what that is and a colon, holds lines and
    # further blocks, and closes with +end+. A line in it is understood as if it said that itself, unless it says otherwise.
    module Blocks
      CLOSE = "end"
      INDENT = "  "
      # A line in its text, the head of the innermost block that it stands in, and whether it opens or closes one.
      Piece = Value.of(:text, :head, :mark)

      module_function

      # @param lines [Array<String>]
      # @return [Array<Piece>] one for each line
      # @raise [Misread] with the number of the line, where a block is not closed, or something is closed that is not open
      def of(lines)
        open = []
        pieces = lines.each_with_index.map { |line, index| piece(line, index + 1, open) }
        raise Misread.new("“#{open.last[0]}:” is not closed; there could stand “#{CLOSE}”", line: open.last[1]) if open.any?

        pieces
      end

      # @return [String, nil] what a line opens a block with
      def head(line)
        words = line.strip.match(/\A(.+?)\s*:\z/)&.[](1)
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

      class << self
        private

        def piece(line, number, open)
          if (found = Blocks.head(line))
            open << [found, number]
            return Piece.new(text: line, head: open[-2]&.first, mark: :open)
          end
          return Piece.new(text: line, head: open.last&.first) unless line.strip == CLOSE
          raise Misread.new("there is no block to end here", line: number) if open.empty?

          Piece.new(text: line, head: open.pop[0], mark: :close)
        end

        def says_itself?(piece, context)
          _, form, said = Line.read(piece.text, context)
          form && said.fetch(:qualities, []).any? { |quality, _| quality.blocks }
        end

        # From the outermost inwards.
        def heads(unparser, id)
          element = unparser.set.element(id)
          quality = Grammar.qualities(element.kind).find(&:blocks) or return []
          quality.blocks.call(unparser.set, element).map { |around| unparser.block_head(quality, around) }
        end

        # Runs of sentences with the same head become a block.
        def fold(told, depth)
          told.slice_when { |one, other| one[2][depth].nil? || one[2][depth] != other[2][depth] }.flat_map do |run|
            head = run.first[2][depth]
            next run.map { |id, lines, heads| [id, lines.map { |line| inner(line, heads, depth) }] } if head.nil? || run.length < 2

            [[nil, ["#{head}:"]], *fold(run, depth + 1).map { |id, lines| [id, lines.map { |line| INDENT + line }] }, [nil, [CLOSE]]]
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
