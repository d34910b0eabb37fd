# frozen_string_literal: true

module Basalt
  module Linking
    # A sheet that is there: its title, longest first.
    class SheetSlot
      # The most words of a title that is looked for without quotes.
      WORDS = 12

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        sheets = matcher.context.draft.sheets
        matcher.expect(at, "the title of a sheet")
        titles_at(matcher, at).each do |title, after|
          yield Statements::Naming.new(title), after if sheets.any_by?(:name, title)
        end
      end

      private

      def titles_at(matcher, at)
        token = matcher.token(at)
        return [] unless token
        return [[Model::Names.clean(token.text), at + 1]] if token.quoted?

        words = matcher.tokens[at, WORDS].take_while(&:word?).map(&:text)
        words.length.downto(1).map { |count| [words.first(count).join(" ").unicode_normalize(:nfc), at + count] }
      rescue Model::BadFact
        []
      end
    end
  end
end
