# frozen_string_literal: true

module Basalt
  module Data
    # Attributes separated by commas, each a name, its parts in parentheses and the words for
    # its qualities.
    class AttributesSlot
      # The words of each flag.
      FLAGS = { "key" => "key", "partial" => "partial key", "required" => "required", "many" => "many", "kept" => "kept over time" }.freeze
      # Facts with words in front of a text.
      TEXTS = { "rule" => "by", "becomes" => "becoming", "meaning" => "meaning", "synonyms" => "also called" }.freeze
      WORDS = (FLAGS.values + TEXTS.values + ["derived"]).map { |words| words.split.first }.freeze
      EXPECTED = "“key”, “required”, “many”, “derived” or a comma"

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        items, at = list(matcher, at)
        yield items, at if items
      end

      private

      def list(matcher, at)
        items = []
        loop do
          item, at = item(matcher, at)
          return unless item

          items << item
          return [items, at] unless matcher.token(at)&.literal?(",")

          at += 1
        end
      end

      def item(matcher, at)
        name, at = name(matcher, at)
        return unless name

        parts, at = parts(matcher, at)
        return unless parts

        facts = {}
        while (found = quality(matcher, at))
          facts.merge!(found[0])
          at = found[1]
        end
        matcher.expect(at, EXPECTED)
        [AttributeItem.new(name:, facts:, parts:), at]
      end

      def name(matcher, at)
        token = matcher.token(at)
        return matcher.expect(at, "an attribute") if token.nil? || token.mark?
        return [token.text, at + 1] if token.quoted?

        words = matcher.tokens[at..].take_while { |t| t.word? && !WORDS.include?(t.text) }
        return matcher.expect(at, "an attribute") if words.empty?

        [words.map(&:text).join(" "), at + words.length]
      end

      # @return [Array] parts and the token behind; nil where a parenthesis does not close
      def parts(matcher, at)
        return [[], at] unless matcher.token(at)&.literal?("(")

        items, after = list(matcher, at + 1)
        return unless items
        return matcher.expect(after, "a closing parenthesis") unless matcher.token(after)&.literal?(")")

        [items, after + 1]
      end

      def quality(matcher, at)
        flag = FLAGS.find { |_, words| said?(matcher, at, words) }
        return [{ flag[0] => true }, at + flag[1].split.length] if flag
        return derived(matcher, at + 1) if said?(matcher, at, "derived")

        text = TEXTS.find { |_, words| said?(matcher, at, words) } or return
        value = matcher.token(at + text[1].split.length)
        return matcher.expect(at + text[1].split.length, "a text in double quotes") unless value && (value.quoted? || value.word?)

        [{ text[0] => value.text }, at + text[1].split.length + 1]
      end

      def derived(matcher, at)
        return [{ "derived" => true }, at] unless said?(matcher, at, "from")

        source, after = name(matcher, at + 1)
        source && [{ "derived" => true, "source" => source }, after]
      end

      def said?(matcher, at, words)
        words.split.each_with_index.all? { |word, index| matcher.token(at + index)&.literal?(word) }
      end
    end
  end
end
