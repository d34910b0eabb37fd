# frozen_string_literal: true

module Basalt
  module Statements
    # Whatever can be spoken of: a thing by its name, a part by its path from what it belongs to (+Crew.code+), a relation by
    # the words that state it without its qualities (+Crew runs many Job+), or by its whole sentence in quotes.
    class AnythingSlot
      # Relations that are compared with what was typed, at most.
      MOST = 600
      ARTICLES = %w[a an].freeze

      def initialize
        @thing = ThingSlot.new
      end

      def stops?(_token) = false

      def candidates(matcher, node, rest, at, &found)
        @thing.candidates(matcher, node, rest, at, &found)
        matcher.expect(at, "a path such as Owner.part") if matcher.token(at)
        return unless followed?(matcher, rest, at)

        parts(matcher, at, &found)
        relations(matcher, at, &found)
      end

      # @param kinds [#include?] of what is looked for
      # @return [Model::Element, nil] what a text by itself speaks of: a part or a relation
      def self.find(context, text, kinds)
        matcher = Matcher.new(text, context)
        new.send(:each_other, matcher, 0) do |element, after|
          return element if after == matcher.tokens.length && kinds.include?(element.kind)
        end
        nil
      end

      private

      def each_other(matcher, at, &found)
        parts(matcher, at, &found)
        relations(matcher, at, &found)
      end

      # Only where the words that have to follow are there is it worth looking.
      def followed?(matcher, rest, at)
        first = rest.first
        return true unless first.is_a?(Pattern::Literal)

        matcher.tokens.drop(at + 1).any? { |token| first.words.any? { |word| token.literal?(word) } }
      end

      def parts(matcher, at)
        Path.new(matcher.context.draft).each(matcher.tokens, at) { |element, after| yield element, after }
      end

      def relations(matcher, at, &found)
        typed = flat(matcher.tokens, at)
        return if typed.empty?

        stating = Stating.new(matcher.context.draft)
        near = near(matcher, at)
        stated = near.flat_map { |relation| exactly(matcher, at, typed, stating, relation).map { |after| [relation, after] } }
        return stated.each(&found) if stated.any?

        short = near.to_h { |relation| [relation, shortened(typed, stating, relation)] }.compact
        in_short(matcher, short.to_a, stating, &found)
      end

      # @return [Array<Integer>] the tokens behind its words, where all of them were typed
      def exactly(matcher, at, typed, stating, relation)
        whole = matcher.token(at).quoted? && Stating.words(matcher.token(at).text) == stating.all_words(relation)
        ways(stating.words(relation)).filter_map { |way| all_of(typed, way) } + (whole ? [at + 1] : [])
      end

      # Words such as ports and addresses may be left out where only one relation is meant.
      def in_short(matcher, found, stating)
        found.group_by(&:last).sort_by { |after, _| -after }.each do |after, pairs|
          next yield pairs.first if pairs.one?

          told = pairs.first(3).map { |relation, _| "“#{stating.words(relation).join(" ")}”" }
          matcher.refuse(after, "there are #{pairs.length} of them: say #{told.join(" or ")}")
        end
      end

      # @return [Integer, nil] the token behind what names both ends, in the order of its words and with others left out
      def shortened(typed, stating, relation)
        left = stating.words(relation)
        count = typed.take_while { |word, _| (at = left.index(word)) && (left = left.drop(at + 1)) }.length
        names = stating.ends(relation)
        return if count <= names.length || (names - typed.first(count).map(&:first)).any?

        after = typed[count - 1].last
        after unless typed[count]&.last == after
      end

      # Words with the token behind each.
      def flat(tokens, at) =
        tokens.drop(at).each_with_index.flat_map { |token, index| token.text.split(" ").map { |word| [word, at + index + 1] } }

      # An article may be left out in front.
      def ways(words) = ARTICLES.include?(words.first) ? [words, words.drop(1)] : [words]

      # @return [Integer, nil] the token behind the words, where what was typed begins with them and does not end within a name
      def all_of(typed, words)
        return if words.empty? || typed.first(words.length).map(&:first) != words

        after = typed[words.length - 1].last
        after unless typed[words.length]&.last == after
      end

      # The relations whose ends are all named there.
      def near(matcher, at)
        draft = matcher.context.draft
        words = flat(matcher.tokens, at).map(&:first).first(2 * ThingSlot::WORDS)
        names = words.each_index.flat_map { |from| (1..ThingSlot::WORDS).map { |count| words[from, count].join(" ") } }.uniq
        ids = names.flat_map { |name| draft.elements.ids_by(:name, name).to_a }.to_set
        ids
          .flat_map { |id| draft.elements.by(:target, id) }
          .uniq(&:id)
          .select { |relation| relation.endpoints.all? { |id| ids.include?(id) || unnamed?(draft, id) } }
          .sort_by(&:ordinal)
          .first(MOST)
      end

      def unnamed?(draft, id) =
        draft
          .element(id)
          .then { |element| element.name.nil? || element.description.default_names.value?(element.name) || element.relation? }
    end
  end
end
