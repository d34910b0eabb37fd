# frozen_string_literal: true

require "did_you_mean"

module Basalt
  module Model
    # What a name may be.
    module Names
      LIMIT = 200
      # How many names are looked at for one that is near.
      MOST_KNOWN = 20_000

      module_function

      # @param text [String]
      # @return [String] the text, trimmed, in Unicode normal form C
      # @raise [BadFact] when it is empty, too long or holds control characters
      def clean(text, limit: LIMIT)
        text = composed(text.to_s).strip
        raise BadFact, "a name cannot be empty" if text.empty?
        raise BadFact, "“#{short(text)}” has #{text.length} characters; at most #{limit} are kept" if text.length > limit
        if text.match?(text.ascii_only? ? /[[:cntrl:]]/ : /[\p{Cc}\p{Cs}\u2028\u2029\uFFFE\uFFFF]/)
          raise BadFact, "“#{short(text)}” holds a character that cannot be printed"
        end

        text
      end

      # @param text [String] of several lines, in which tabs stand
      # @return [String] the text without blanks around it, its lines ended by line feeds alone
      # @raise [BadFact] when it is too long or holds other control characters
      def clean_lines(text, limit:)
        lines = text.to_s.encode("UTF-8", invalid: :replace, undef: :replace).gsub(/\r\n?/, "\n").strip
        raise BadFact, "“#{short(lines)}” has #{lines.length} characters; at most #{limit} are kept" if lines.length > limit
        raise BadFact, "“#{short(lines)}” holds a character that cannot be printed" if lines.match?(/(?![\n\t])\p{Cc}/)

        lines
      end

      # What is plain is its own normal form; very many names are.
      def composed(text)
        return text.encoding == Encoding::UTF_8 ? text : text.encode("UTF-8") if text.ascii_only?

        text.encode("UTF-8", invalid: :replace, undef: :replace).unicode_normalize(:nfc)
      end

      # @return [String] at most +length+ characters of the text, for messages
      def short(text, length = 60)
        text = text.to_s.gsub(/\p{Cntrl}/, "?")
        text.length > length ? "#{text[0, length]}…" : text
      end

      # @return [String, nil] of +known+ the name closest to +text+, when one is close
      def nearest(text, known) = NearNames.new(known.first(MOST_KNOWN)).to(text)

      # @return [Integer] Levenshtein's edit distance
      def distance(one, other) = DidYouMean::Levenshtein.distance(one, other)

      # The name with its trailing number carried on, skipping those taken:
      # +plc-07+ gives +plc-08+, +pump+ gives +pump-2+.
      #
      # @yieldparam name [String] a proposal
      # @yieldreturn [Boolean] whether it is taken
      def following(name)
        stem, digits = name.match(/\A(.*?)(\d+)\z/)&.captures
        stem, digits = "#{name}-", "1" unless digits
        number = digits.to_i
        loop do
          number += 1
          proposal = stem + number.to_s.rjust(digits.length, "0")
          return proposal unless yield proposal
        end
      end
    end
  end
end
