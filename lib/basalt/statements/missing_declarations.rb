# frozen_string_literal: true

module Basalt
  module Statements
    # What would have to be said before a statement that names things nobody knows yet: their
    # declarations. A name is taken to begin with a capital and to go on to the verb, or to stand in quotes.
    module MissingDeclarations
      MOST = 6
      # Words without a capital that a name may have behind those with one.
      BEHIND = 2

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
      def noun(context) = context.sheet.notation.chips.first.first

      def known?(draft, context, name) = draft.named(name).any? { |element| context.sheet.notation.draws?(element) }

      # @return [Array<String>]
      def names(text)
        tokens = Tokens.of(text)
        found = []
        at = 0
        while at < tokens.length
          long = name_at(tokens, at)
          found << tokens[at, long].map(&:text).join(" ") if long.positive?
          at += [long, 1].max
        end
        found.uniq
      end

      # @return [Integer] how many tokens from this one are a name
      def name_at(tokens, at)
        return tokens[at].quoted? ? 1 : 0 unless capital?(tokens[at])

        long = 1
        long += 1 while tokens[at + long] && capital?(tokens[at + long])
        (0..BEHIND).each do |more|
          return long + more if ends?(tokens[at + long + more])
          break unless plain?(tokens[at + long + more])
        end
        long
      end

      def capital?(token) = token.word? && token.text.match?(/\A\p{Lu}/)
      def plain?(token) = token&.word? && token.text.match?(/\A\p{Ll}/)

      # A name ends where a verb follows, a mark, or nothing.
      def ends?(token)
        return true if token.nil? || token.mark?

        plain?(token) &&
          (English.verb_phrase?(token.text) || English::AUXILIARIES.include?(token.text) || English::PARTICLES.include?(token.text))
      end
    end
  end
end
