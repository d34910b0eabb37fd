# frozen_string_literal: true

module Basalt
  module Statements
    # What would have to be said before a statement that names things nobody knows yet: their
    # declarations. Names are taken to be the words with capitals, or what stands in quotes.
    module Groundwork
      MOST = 6

      module_function

      # @param set [Model::WorkingSet]
      # @param text [String] a statement that was not understood
      # @return [Array<String>] the declarations and then the statement; empty where that would not help
      def of(text, set, sheet_id)
        return [] if text.include?("\n") || Line.empty?(text)

        draft = Change::Draft.new(set)
        context = Context.new(draft, sheet_id:)
        lines = names(text).reject { |name| known?(draft, context, name) }.first(MOST).map { |name| "#{noun(context)} #{quoted(name)}" }
        return [] if lines.empty?

        Document.new([*lines, text].join("\n")).into(draft, sheet_id:)
        [*lines, text]
      rescue Mistake
        []
      end

      def quoted(name) = Quoting.doubtful?(name) || Quoting.always?(name) ? Quoting.quote(name) : name

      # The word for what the sheet draws first.
      def noun(context) = context.sheet.writing.chips.first.first

      def known?(draft, context, name) = draft.named(name).any? { |element| context.sheet.writing.draws?(element) }

      # @return [Array<String>]
      def names(text)
        runs = Tokens.of(text).chunk_while { |one, other| name_word?(one) && name_word?(other) && !one.quoted? && !other.quoted? }
        runs.select { |run| run.first.quoted? || name_word?(run.first) }.map { |run| run.map(&:text).join(" ") }.uniq
      end

      def name_word?(token) = token.quoted? || (token.word? && token.text.match?(/\A\p{Lu}/))
    end
  end
end
