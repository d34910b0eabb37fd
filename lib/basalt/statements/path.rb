# frozen_string_literal: true

module Basalt
  module Statements
    # Parts by the way to them: the name of what they belong to, and theirs, with what their kind puts between the two.
    class Path
      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set)
        @set = set
      end

      # @return [Array<String>] paths of a part, the surest last; empty where what it belongs to has no name of its own
      def of(part)
        owner = part.owner_id && @set.element(part.owner_id)
        return [] unless owner&.name && part.name

        heads = owner.owner_id ? of(owner) : bare(owner.name)
        heads.product(bare(part.name)).map { |head, tail| "#{head}#{part.description.path}#{tail}" }.uniq
      end

      # @yieldparam part [Model::Element]
      # @yieldparam after [Integer] the token behind its path
      def each(tokens, at, &found)
        words = tokens[at, ThingSlot::WORDS].to_a.take_while { |token| token.word? || token.quoted? }
        words.length.downto(1) { |count| parts(joined(words.first(count))).each { |part| found.call(part, at + count) } }
      end

      private

      def bare(name) = [*(name unless Quoting.always?(name)), Quoting.quote(name)]

      # The words as they were written, quoted ones told from others.
      def joined(tokens)
        tokens
          .each_cons(2)
          .reduce([spelled(tokens.first)]) { |text, (one, other)| text << (one.to == other.from ? "" : " ") << spelled(other) }
          .join
      end

      def spelled(token) = token.quoted? ? Quoting.quote(token.text) : token.text

      # Those whose names, and what they belong to, the text can be cut into.
      def parts(text)
        cuts(text)
          .flat_map do |head, between, tail|
            @set.named(named(tail)).select { |part| part.owner_id && part.description.path == between && way?(part.owner_id, head) }
          end
          .uniq(&:id)
      end

      # @return [Boolean] whether the text is the name of an element, or a path to it
      def way?(id, text)
        element = @set.element(id)
        return true if element.name == named(text)
        return false unless element.owner_id && element.name

        bare(element.name).any? do |tail|
          text.end_with?("#{element.description.path}#{tail}") &&
            way?(element.owner_id, text.delete_suffix("#{element.description.path}#{tail}"))
        end
      end

      def cuts(text)
        (1...text.length).filter_map do |at|
          if [".", " "].include?(text[at]) && text[0...at].count('"').even? && at + 1 < text.length
            [text[0...at], text[at], text[(at + 1)..]]
          end
        end
      end

      def named(text) = text.match?(/\A".*"\z/m) ? text[1..-2].gsub('""', '"') : text
    end
  end
end
