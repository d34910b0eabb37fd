# frozen_string_literal: true

module Basalt
  module Brief
    # A text cut into lines, and these into pieces with the phrases that cover them.
    class SourceView
      # A part is so many characters at most, to the end of a line.
      PART = 120_000
      # +at+ counts characters of the whole text.
      Line = Value.of(:at, :pieces, :fresh)
      Piece = Value.of(:text, :phrases)

      # @param phrases [Array<Model::Element>] without those that no longer stand there
      # @param fresh [Array<Range>] of characters that are new
      def initialize(text, phrases, fresh: [])
        @text = text
        @spans =
          phrases
            .reject { |phrase| phrase["became"] == Revising::GONE }
            .map { |phrase| [phrase["at"], phrase["at"] + length(phrase), phrase] }
        @fresh = fresh
      end

      def empty? = @text.empty?

      # @return [Array<Integer>] where each part begins
      def parts
        @parts ||=
          begin
            found = [0]
            while @text.length - found.last > PART
              ending = @text.rindex("\n", found.last + PART)
              found << (ending && ending > found.last ? ending + 1 : found.last + PART)
            end
            found
          end
      end

      # @return [Array<Line>] of one part
      def lines(part = 0)
        from = parts[part] || 0
        at = from
        @text[from...(parts[part + 1] || @text.length)].lines.map do |line|
          text = line.chomp
          made = Line.new(at:, pieces: pieces(at, text), fresh: @fresh.any? { |range| range.begin <= at && at < range.end })
          at += line.length
          made
        end
      end

      # @return [Float] how much of the text is accounted for, blanks aside
      def share
        whole = @text.count("^ \n\r\t")
        return 0.0 if whole.zero?

        merged.sum { |from, to| @text[from...to].to_s.count("^ \n\r\t") }.fdiv(whole)
      end

      private

      # A phrase stands in the text with the blanks that it has there.
      def length(phrase)
        words = phrase["became"] && phrase["became"] != Revising::GONE ? phrase["became"] : phrase["quote"]
        pattern = /\G#{Words.pattern(words)}/
        @text.match(pattern, phrase["at"])&.then { |match| match[0].length } || words.length
      end

      def merged
        @spans
          .map { |from, to, _| [from, to] }
          .sort
          .each_with_object([]) do |(from, to), found|
            found.any? && from <= found.last[1] ? found.last[1] = [found.last[1], to].max : found << [from, to]
          end
      end

      def pieces(at, text)
        over = @spans.select { |from, to, _| from < at + text.length && to > at }
        return [Piece.new(text:, phrases: [])] if over.empty?

        cuts = [
          0,
          text.length,
          *over.flat_map { |from, to, _| [(from - at).clamp(0, text.length), (to - at).clamp(0, text.length)] }
        ].uniq.sort
        cuts
          .each_cons(2)
          .map do |from, to|
            Piece.new(text: text[from...to], phrases: over.select { |a, b, _| a <= at + from && b >= at + to }.map(&:last))
          end
      end
    end
  end
end
