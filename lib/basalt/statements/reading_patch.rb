# frozen_string_literal: true

module Basalt
  module Statements
    # A reading that somebody edited, taken back as changes: a sentence added is said, one
    # struck is taken back, one altered alters what it told. A sentence that cannot be
    # understood is left out and told with the reason; it blocks none of the others.
    class ReadingPatch
      # +index+ counts the lines of the edited text from 0.
      Refused = Value.of(:index, :text, :reason)

      # @param set [Model::WorkingSet] what the reading was of
      # @param before [Array<String>] lines as the editing began
      # @param after [Array<String>] lines as they are now
      def initialize(set, sheet_id, before, after)
        @set = set
        @sheet_id = sheet_id
        @lines = { before:, after: }
        @refused = []
        @made = {}
      end

      attr_reader :refused

      # @return [Change::Draft]
      def into(draft)
        return draft unless whole

        @told =
          Unparser.new(@set).sentences(@sheet_id).each_with_object({}) { |(id, lines), told| lines.each { |line| told[line] ||= id } }
        take_together(draft)
        @edited = EditedSentence.new(@set, @sheet_id, @told, @after)
        script = notation.scripted? ? EditedScript.new(@set, @sheet_id, @before, @after) : nil
        before, after = script ? script.rest : [@before, @after]
        struck, rest = EditedLines.new(@set, @sheet_id, before, after).hunks.partition { |hunk| hunk.text.nil? }
        say_all(draft, rest.sort_by { |hunk| [turn(hunk), hunk.index] })
        script&.into(draft)
        @refused.concat(script.refused) if script
        struck.each { |hunk| attempt(draft, hunk) { |trial| @edited.delete(trial, hunk.old) } }
        MovedLines.new(draft, @sheet_id, @after.each_with_index.map { |line, index| @made[index] || @told[line] }).settle
        draft
      end

      private

      # Sentences as they would stand outside of blocks; what opens and closes these tells nothing by itself.
      #
      # @return [Boolean] whether all blocks are closed; otherwise nothing is taken
      def whole
        @before, @after =
          @lines
            .values_at(:before, :after)
            .map { |lines| Blocks.of(lines, notation.name).map { |piece| piece.mark ? "" : Blocks.whole(piece, context(@set)).strip } }
        true
      rescue Misread => e
        @refused << Refused.new(index: e.line - 1, text: @lines[:after][e.line - 1].to_s.strip, reason: e.on_line(nil).message)
        false
      end

      # What is known is altered under the name it has before it gets another.
      def turn(hunk)
        return 2 unless hunk.old

        read(@set, hunk.old)[1]&.declares ? 1 : 0
      end

      # What cannot be taken of such lines leaves all that they are about as it was.
      def take_together(draft)
        together = Together.new(@set, @sheet_id, @before, @after)
        together.each do |index, rewriting|
          trial = Change::Draft.new(draft)
          rewriting.call(trial)
          draft.merge(trial)
        rescue Mistake => e
          at = (e.index if e.respond_to?(:index)) || index || @after.length
          @refused << Refused.new(index: at, text: @lines[:after][at].to_s.strip, reason: e.message)
        end
        @before, @after = together.rest
      end

      def attempt(draft, hunk)
        trial = Change::Draft.new(draft)
        yield trial
        effect = trial.effect
        @made[hunk.index] = MovedLines.told_by(effect) if hunk.text
        draft.merge(trial)
        true
      rescue Mistake => e
        refuse(hunk, e)
      end

      def refuse(hunk, error)
        @refused << Refused.new(
          index: hunk.index || @after.length,
          text: written(hunk),
          reason: (error.is_a?(Misread) ? error.on_line(nil) : error).message
        )
        false
      end

      def written(hunk) = hunk.text ? @lines[:after][hunk.index].strip : hunk.old

      # One sentence may need what another makes: those that fail are tried again after the rest.
      def say_all(draft, hunks)
        loop do
          left = hunks.reject { |hunk| attempt(draft, hunk) { |trial| take(trial, hunk) } }
          break if left.empty? || left.length == hunks.length

          @refused.reject! { |refused| left.any? { |hunk| hunk.index == refused.index } }
          hunks = left
        end
      end

      def notation = @set.sheets[@sheet_id].notation
      def context(set) = Context.new(set, sheet_id: @sheet_id)
      def read(set, line) = Line.read(line, context(set))
      def say(draft, line) = Document.new(line).into(draft, sheet_id: @sheet_id)

      def take(draft, hunk) = hunk.old ? @edited.alter(draft, hunk) : say(draft, hunk.text)
    end
  end
end
