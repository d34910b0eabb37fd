# frozen_string_literal: true

module Basalt
  module Statements
    # A thing that is known: its name, longest first; or kind and name; or name and place.
    class ThingSlot
      # The most words of a name that is looked for without quotes.
      WORDS = 12

      def stops?(_token) = false

      def candidates(matcher, node, _rest, at, &found)
        kinds = Slots.kinds(node.arguments)
        matcher.expect(at, label(node.arguments), kinds)
        by_name(matcher, at, kinds, nil, &found)
        by_kind(matcher, at, kinds, &found)
      end

      private

      def by_name(matcher, at, kinds, noun, &found)
        names_at(matcher, at).each do |name, after|
          elements = matcher.context.find(name, kinds, noun:)
          next if elements.empty?

          by_place(matcher, elements, after, &found)
          one = noun ? in_no_place(elements) : elements
          if one.length == 1 then yield one.first, after
          else matcher.refuse(after, ambiguity(matcher, name, elements))
          end
        end
      end

      def by_kind(matcher, at, kinds, &found)
        nouns_at(matcher, at).each do |noun, after|
          kind, = Model::Catalogue.words.meant(noun, matcher.context.notation_name)
          next unless kinds.include?(kind.name)

          noun = noun.delete_prefix("#{kind.trade} ") if kind.trade
          by_name(matcher, after, [kind.name], noun, &found)
          unnamed = kind.default_name(noun)
          nameless = unnamed && matcher.context.find(unnamed, [kind.name], noun:)
          yield nameless.first, after if nameless&.one?
        end
      end

      # Kind and name mean what its declaration does: of several the one that is in nothing.
      def in_no_place(elements) = elements.select { |one| one.container_id.nil? }.then { |outer| outer.one? ? outer : elements }

      def by_place(matcher, elements, at, &found)
        return unless matcher.token(at)&.literal?("of")

        held(matcher, elements.map { |element| [element, place(matcher, element)] }.select(&:last), at, &found)
      end

      # As many places as it takes, each in the next one: +Row 2 of Hall of North+.
      #
      # @param pairs [Array<Array(Model::Element, Model::Element)>] what may be meant, and the place that is named next
      def held(matcher, pairs, at, &found)
        return unless pairs.any? && matcher.token(at)&.literal?("of")

        names_at(matcher, at + 1).each do |name, after|
          inside = pairs.select { |_, place| place.name == name }
          held(matcher, inside.filter_map { |one, place| place(matcher, place)&.then { |outer| [one, outer] } }, after, &found)
          # Of several the one whose place is in none: no more places are named.
          one = inside.one? ? inside : inside.select { |_, place| place.container_id.nil? }
          found.call(one.first.first, after) if one.one?
        end
      end

      def place(matcher, element) = element.container_id && matcher.context.draft.element(element.container_id)

      # Runs of words, longest first, that could be a name here.
      def names_at(matcher, at)
        token = matcher.token(at)
        return [] unless token
        return [[token.text, at + 1]] if token.quoted? || (token.word? && !matcher.context.draft.opens_name?(token.text))

        words = matcher.tokens[at, WORDS].take_while(&:word?).map(&:text)
        runs(words, at)
      end

      # @return [Array<Array(String, Integer)>] the first words, as many as there are down to one, and the token behind them
      def runs(words, at)
        run = nil
        words.map { |word| [run = run ? "#{run} #{word}" : word, at += 1] }.reverse
      end

      def nouns_at(matcher, at)
        words = matcher.tokens[at, 3].to_a.take_while(&:word?).map(&:text)
        runs(words, at).select { |noun, _| Model::Catalogue.nouns.key?(noun) }
      end

      def ambiguity(matcher, name, elements)
        told = elements.first(4).map { |element| matcher.context.qualified(element) }
        "there are #{elements.length} called “#{name}”: say #{told.join(' or ')}"
      end

      def label(arguments)
        (@labels ||= {}.compare_by_identity)[arguments] ||=
          if arguments.empty?
            "a known name"
          else
            "a known #{[arguments[0..-2].join(", "), arguments.last].reject(&:empty?).join(" or ")}"
          end
      end
    end
  end
end
