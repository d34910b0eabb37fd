# frozen_string_literal: true

module Basalt
  module Brief
    # Where the phrases marked in a text stand in a new version of it: those that stand there
    # still, by the words around them where they occur several times; those that changed, by the
    # lines between which they stood; and those that went.
    class Anchoring
      # +state+ is +:holds+, +:changed+ (with the words that stand there now) or +:gone+.
      Place = Value.of(:phrase_id, :state, :at, :words)
      AROUND = 40
      # A phrase that is looked for at more places is looked for at the nearest.
      MOST = 200

      # @param before [String]
      # @param after [String]
      def initialize(before, after)
        @before = before
        @after = after
      end

      # @param phrases [Array<Model::Element>]
      # @return [Array<Place>]
      def places(phrases) = phrases.map { |phrase| place(phrase) }

      # @return [Array<Range>] of characters in the new text whose lines are new
      def fresh
        spans = blocks.reject { |block| block[:old] }.map { |block| block[:after] }
        spans.select { |span| @after[span].match?(/\S/) }
      end

      private

      def place(phrase)
        pattern = Words.pattern(phrase["quote"])
        at = nearest(pattern, phrase)
        return Place.new(phrase_id: phrase.id, state: :holds, at:) if at

        words = replaced(phrase)
        if words
          Place.new(phrase_id: phrase.id, state: :changed, at: words[0], words: words[1])
        else
          Place.new(phrase_id: phrase.id, state: :gone)
        end
      end

      # Of several places the one with the same words around it, and then the nearest.
      def nearest(pattern, phrase)
        found = []
        position = 0
        while found.length < MOST && (match = @after.match(pattern, position))
          found << [match.begin(0), match.end(0)]
          position = match.end(0)
        end
        return found.first&.first if found.length < 2

        wanted = around(:before, phrase["at"], phrase["at"] + phrase["quote"].length)
        meant = mapped(phrase["at"])
        found.max_by { |from, to| [alike(wanted, around(:after, from, to)), -(from - meant).abs] }.first
      end

      # Characters at a place are found at once where each takes as many bytes as any other.
      def around(version, from, to)
        text = (@wide ||= {})[version] ||= (version == :before ? @before : @after).encode("UTF-32LE")
        [text[[from - AROUND, 0].max...from], text[to, AROUND]].map { |words| words.to_s.encode("UTF-8") }
      end

      # How many characters are the same, read away from the phrase.
      def alike((before, after), (other_before, other_after))
        same(before.reverse, other_before.reverse) + same(after, other_after)
      end

      def same(one, other) = one.each_char.zip(other.each_char).take_while { |a, b| a == b }.length

      def block_at(at) = blocks.bsearch { |block| block[:before].end > at }&.then { |block| block if block[:before].cover?(at) }

      # Where a character of the old text would be in the new.
      def mapped(at)
        block = block_at(at) || blocks.last or return at
        block[:after].begin + (at - block[:before].begin).clamp(0, [block[:after].size - 1, 0].max)
      end

      # The lines that stand in the place of those the phrase was in.
      def replaced(phrase)
        block = block_at(phrase["at"]) or return
        return if block[:old] || !@after[block[:after]].to_s.match?(/\S/)

        sentence(block[:after], phrase)
      end

      # Of the new lines the sentence that has most words in common with the phrase.
      def sentence(span, phrase)
        words = phrase["quote"].downcase.scan(/[[:alnum:]]+/)
        found = []
        @after[span].scan(/[^.!?\n]+[.!?]?/) { found << [span.begin + Regexp.last_match.begin(0), Regexp.last_match[0]] }
        at, text = found.max_by { |_, one| (one.downcase.scan(/[[:alnum:]]+/) & words).length }
        return unless text && (text.downcase.scan(/[[:alnum:]]+/) & words).any?

        [at + text[/\A\s*/].length, text.strip]
      end

      # Runs of lines that are the same in both, and what stands between them, as ranges of characters.
      def blocks
        @blocks ||=
          begin
            old, new = [@before, @after].map(&:lines)
            starts = [old, new].map { |lines| lines.reduce([0]) { |found, line| found << (found.last + line.length) } }
            LineBlocks
              .new(old, new)
              .blocks
              .map do |block|
                {
                  old: block.same,
                  before: starts[0][block.old.begin]...starts[0][block.old.end],
                  after: starts[1][block.new.begin]...starts[1][block.new.end]
                }
              end
          end
      end
    end
  end
end
