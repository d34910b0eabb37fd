# frozen_string_literal: true

module Basalt
  module Data
    # Columns separated by commas, each a name, a type and the words for its qualities.
    class ColumnsSlot
      # A type that needs no quotes: one word, or one with figures in parentheses.
      TYPE = /\A[a-z][a-z0-9_]*(\(\d+(,\d+)?\))?(\[\])?\z/
      FLAGS = Tabling::FLAGS
      TEXTS = Tabling::TEXTS.merge("references" => "references", "thread" => "from", "as_derived" => "derived as")
      WORDS = (FLAGS.values + TEXTS.values).map { |words| words.split.first }.freeze

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        items = []
        loop do
          item, at = item(matcher, at)
          return unless item

          items << item
          break unless matcher.token(at)&.literal?(",")

          at += 1
        end
        yield items, at
      end

      private

      def item(matcher, at)
        token = matcher.token(at)
        return matcher.expect(at, "a column") if token.nil? || token.mark?

        facts = {}
        at += 1
        type, at = type(matcher, at)
        facts["type"] = type if type
        while (found = quality(matcher, at))
          facts.merge!(found[0])
          at = found[1]
        end
        matcher.expect(at, "a type, “key”, “required”, “references” or a comma")
        [AttributeItem.new(name: token.text, facts:, parts: []), at]
      end

      # A word, with figures in parentheses behind it; or "of type" and a text.
      def type(matcher, at)
        return [matcher.token(at + 2).text, at + 3] if said?(matcher, at, "of type") && matcher.token(at + 2)&.quoted?

        token = matcher.token(at)
        return [nil, at] unless token&.word? && !WORDS.include?(token.text) && token.text.match?(/\A[a-z][a-z0-9_]*(\[\])?\z/)

        figures, after = figures(matcher, at + 1)
        ["#{token.text}#{figures}", after]
      end

      def figures(matcher, at)
        return [nil, at] unless matcher.token(at)&.literal?("(")

        close = (at..(at + 4)).find { |index| matcher.token(index)&.literal?(")") }
        text = close && matcher.tokens[at..close].map(&:text).join
        return [nil, at] unless text&.match?(/\A\(\d+(,\d+)?\)\z/)

        brackets = matcher.token(close + 1)&.literal?("[]") ? "[]" : nil
        ["#{text}#{brackets}", close + (brackets ? 2 : 1)]
      end

      def quality(matcher, at)
        flag = FLAGS.find { |_, words| said?(matcher, at, words) }
        return [{ flag[0] => true }, at + flag[1].split.length] if flag

        text = TEXTS.find { |_, words| said?(matcher, at, words) } or return
        value = matcher.token(at + text[1].split.length)
        return matcher.expect(at + text[1].split.length, "a name or a text in double quotes") unless value && (value.quoted? || value.word?)

        found = text[0] == "thread" ? Threads.thread(matcher.context.draft, value.text) : Statements::LinesSlot.read(value.text)
        [{ text[0] => found }, at + text[1].split.length + 1]
      end

      def said?(matcher, at, words)
        words.split.each_with_index.all? { |word, index| matcher.token(at + index)&.literal?(word) }
      end
    end
  end
end
